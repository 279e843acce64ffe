import type { PictureRun } from '@pyrgotect/core';
import { BufferAttribute, BufferGeometry, CatmullRomCurve3, Vector3 } from 'three';

const round = 10;
/** A rope turns once in so many of its widths. */
const turnsEach = 1.6;

/** A piped or run line as a body: half round on what it lies on, twisted where it is a rope. */
export function runMesh({ points, closed, wideMm, highMm, isRope }: PictureRun): BufferGeometry {
  const curve = new CatmullRomCurve3(
    points.map(({ x, y, z }) => new Vector3(x, y, z)),
    closed,
    'centripetal',
  );
  const steps = Math.min(600, points.length * (points.length < 40 ? 8 : 3));
  const long = curve.getLength();
  const up = new Vector3(0, 0, 1);
  const rings = Array.from({ length: steps + 1 }, (_, k) => {
    const share = k / steps;
    const at = curve.getPoint(share);
    const along = curve.getTangent(share);
    const aside = new Vector3().crossVectors(along, up).normalize();
    return Array.from({ length: round + 1 }, (_, i) => {
      // over half a turn, and flat underneath
      const a = (Math.PI * i) / round;
      const twist = isRope ? 1 + 0.16 * Math.cos(6 * a + (2 * Math.PI * share * long) / (wideMm * turnsEach)) : 1; // prettier-ignore
      return at
        .clone()
        .addScaledVector(aside, (Math.cos(a) * wideMm * twist) / 2)
        .addScaledVector(up, Math.sin(a) * highMm * twist);
    });
  });
  const corners: number[] = [];
  for (let k = 0; k < steps; k++)
    for (let i = 0; i < round; i++) {
      const [a, b, c, d] = [rings[k]![i]!, rings[k + 1]![i]!, rings[k + 1]![i + 1]!, rings[k]![i + 1]!]; // prettier-ignore
      for (const p of [a, b, c, a, c, d]) corners.push(p.x, p.y, p.z);
    }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(Float32Array.from(corners), 3));
  geometry.computeVertexNormals();
  return geometry;
}
