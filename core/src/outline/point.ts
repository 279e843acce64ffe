/** A place seen from above, mm from the middle: x to the right, y to the back. */
export interface Point {
  x: number;
  y: number;
}
