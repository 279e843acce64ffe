import type { CarveResult, Lines } from '../carve/result.ts';
import { showText } from '../units/format.ts';
import type { UnitSystem } from '../units/kinds.ts';

/** One template at full size: closed lines in mm, with straight marks and words on it. */
export interface Template {
  title: string;
  lines: Lines;
  /** Thin lines to measure from. */
  rules: [x0: number, y0: number, x1: number, y1: number][];
  words: { x: number; y: number; text: string }[];
}

const hours = [12, 3, 6, 9];

/** A cross-section with its axis and 24 bearings. */
function fromAbove(title: string, lines: Lines): Template {
  const reach = Math.max(...lines.flatMap((line) => line.map(([x, y]) => Math.hypot(x, y))));
  const at = (deg: number, r: number): [number, number] => {
    const a = (deg * Math.PI) / 180;
    return [r * Math.sin(a), r * Math.cos(a)];
  };
  return {
    title,
    lines,
    rules: Array.from({ length: 24 }, (_, i) => {
      const [x0, y0] = at(i * 15, i % 6 === 0 ? 0 : reach * 0.86);
      const [x1, y1] = at(i * 15, reach);
      return [x0, y0, x1, y1];
    }),
    words: hours.map((hour, i) => {
      const [x, y] = at(i * 90, reach * 0.72);
      return { x: x + 1, y: y + 1, text: `${hour}` };
    }),
  };
}

/** A view from one side with the heights of the layers. */
function fromAside(
  title: string,
  lines: Lines,
  heights: readonly { upMm: number; label: string }[],
  system: UnitSystem,
): Template {
  const xs = lines.flatMap((line) => line.map((p) => p[0]));
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const top = Math.max(...lines.flatMap((line) => line.map((p) => p[1])));
  return {
    title,
    lines,
    rules: [
      [x0, 0, x1, 0],
      [0, 0, 0, top],
      ...heights.map(({ upMm }): [number, number, number, number] => [x0, upMm, x1, upMm]),
    ],
    words: heights.map(({ upMm, label }) => ({
      x: x0 + 2,
      y: upMm + 1,
      text: `${label}, ${showText(upMm, 'span', system)}`,
    })),
  };
}

/** Everything a carved tier is cut along, at full size: sections by height, front and side. */
export function templatesOf(result: CarveResult, system: UnitSystem): Template[] {
  const heights = result.guides.filter((guide) => guide.upMm > 0);
  return [
    ...result.guides.map(({ label, upMm, lines }) =>
      fromAbove(
        upMm === 0 ? 'Foot, from above' : `Section at ${showText(upMm, 'span', system)}: ${label}`,
        lines,
      ),
    ),
    fromAside('Front', result.front, heights, system),
    fromAside('Right side', result.side, heights, system),
  ];
}

/** The box round a template, mm. */
export function boxOfTemplate({ lines, rules }: Template): {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
} {
  const xs = [...lines.flatMap((l) => l.map((p) => p[0])), ...rules.flatMap((r) => [r[0], r[2]])];
  const ys = [...lines.flatMap((l) => l.map((p) => p[1])), ...rules.flatMap((r) => [r[1], r[3]])];
  return { x0: Math.min(...xs), y0: Math.min(...ys), x1: Math.max(...xs), y1: Math.max(...ys) };
}
