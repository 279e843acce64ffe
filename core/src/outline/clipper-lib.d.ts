declare module 'clipper-lib' {
  interface IntPoint {
    X: number;
    Y: number;
  }
  const ClipperLib: {
    ClipperOffset: new (
      miterLimit: number,
      arcTolerance: number,
    ) => {
      AddPath(path: IntPoint[], join: number, end: number): void;
      Execute(solution: IntPoint[][], delta: number): void;
    };
    Clipper: new () => {
      AddPaths(paths: IntPoint[][], type: number, closed: boolean): void;
      Execute(clipType: number, solution: IntPoint[][], subject: number, clip: number): boolean;
    };
    ClipType: { ctDifference: number; ctIntersection: number };
    PolyType: { ptSubject: number; ptClip: number };
    PolyFillType: { pftNonZero: number };
    JoinType: { jtRound: number };
    EndType: { etClosedPolygon: number };
  };
  export default ClipperLib;
}
