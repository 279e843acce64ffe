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
    JoinType: { jtRound: number };
    EndType: { etClosedPolygon: number };
  };
  export default ClipperLib;
}
