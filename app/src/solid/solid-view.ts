import { Box3, OrthographicCamera, Vector3 } from 'three';

/** From where a solid is looked at. */
export type LookFrom = 'corner' | 'front' | 'right' | 'above';
const ways: Record<LookFrom, readonly [number, number, number]> = {
  corner: [-0.55, -1.35, 0.8],
  front: [0, -1, 0.0001],
  right: [1, 0, 0.0001],
  above: [0, -0.0001, 1],
};
const farMm = 3000;
/** Left free on every side of what is seen, mm. */
const marginMm = 12;

/** From where a solid is seen, and how large: z is up, as the cake's is. */
export class SolidView {
  readonly camera = new OrthographicCamera();
  /** What has to be seen, from wherever it is looked at. */
  room = new Box3(new Vector3(-100, -100, 0), new Vector3(100, 100, 100));
  private bounds = { x: [-100, 100], y: [-100, 100] };

  constructor() {
    this.camera.up.set(0, 0, 1);
    this.camera.near = 10;
    this.camera.far = farMm * 1.5;
  }

  look(from: LookFrom, target: Vector3): void {
    this.camera.position
      .copy(target)
      .addScaledVector(new Vector3(...ways[from]).normalize(), farMm / 2);
    this.camera.lookAt(target);
    this.camera.zoom = 1;
    this.measure();
  }

  /** What the room takes up on the screen, from where it is looked at now. */
  measure(): void {
    this.camera.updateMatrixWorld();
    const { min, max } = this.room;
    const seen = [min.x, max.x].flatMap((x) =>
      [min.y, max.y].flatMap((y) =>
        [min.z, max.z].map((z) =>
          new Vector3(x, y, z).applyMatrix4(this.camera.matrixWorldInverse),
        ),
      ),
    );
    const span = (k: 'x' | 'y'): [number, number] => [
      Math.min(...seen.map((v) => v[k])) - marginMm,
      Math.max(...seen.map((v) => v[k])) + marginMm,
    ];
    this.bounds = { x: span('x'), y: span('y') };
  }

  /** Fits what has to be seen into so many pixels, as large as fits both ways, in the middle; mm to one of them. */
  frame(w: number, h: number): number {
    const [x0, x1] = this.bounds.x as [number, number];
    const [y0, y1] = this.bounds.y as [number, number];
    const mmPerPx = Math.max((x1 - x0) / w, (y1 - y0) / h);
    const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
    Object.assign(this.camera, {
      left: cx - (mmPerPx * w) / 2,
      right: cx + (mmPerPx * w) / 2,
      bottom: cy - (mmPerPx * h) / 2,
      top: cy + (mmPerPx * h) / 2,
    });
    this.camera.updateProjectionMatrix();
    return mmPerPx;
  }
}
