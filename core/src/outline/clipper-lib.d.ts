declare module 'clipper-lib' {
  interface IntPoint {
    X: number;
    Y: number;
  }
  const ClipperLib: {
    Clipper: (new () => {
      ReverseSolution: boolean;
      AddPath(path: IntPoint[], type: number, closed: boolean): void;
      AddPaths(paths: IntPoint[][], type: number, closed: boolean): void;
      Execute(clipType: number, solution: IntPoint[][], subject: number, clip: number): boolean;
    }) & { CleanPolygon(path: IntPoint[], distance: number): IntPoint[] };
    ClipType: { ctDifference: number; ctIntersection: number; ctUnion: number };
    PolyType: { ptSubject: number; ptClip: number };
    PolyFillType: { pftNonZero: number; pftPositive: number; pftNegative: number };
  };
  export default ClipperLib;
}
