import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  buildSheets,
  countServings,
  metric,
  planBuild,
  sheetKinds,
  widthMm,
  type Template,
} from '../src/index.ts';
import { templatesSvg } from '../src/templates/index.ts';
import { demos, pantry } from './demos.ts';

type Line = Template['lines'][number];
const area = (line: Line): number =>
  Math.abs(
    line.reduce((sum, [x, y], i) => {
      const [nx, ny] = line[(i + 1) % line.length]!;
      return sum + (x * ny - nx * y) / 2;
    }, 0),
  );
const across = (line: Line): number => {
  const xs = line.map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
};
const middle = (line: Line): [number, number] => {
  const mid = (values: number[]): number => (Math.min(...values) + Math.max(...values)) / 2;
  return [mid(line.map(([x]) => x)), mid(line.map(([, y]) => y))];
};

describe('sheets at full size', () => {
  const planned = demos.map((build) => ({ build, plan: planBuild(build, pantry) }));

  it('show every dowel where the plan has it, as thick as it is', () => {
    let shown = 0;
    for (const { build, plan } of planned) {
      const lifts = plan.support?.lifts.filter(({ placed, row }) => row && placed.length > 0) ?? [];
      const sheets = buildSheets('dowels', build, plan, metric);
      expect(sheets).toHaveLength(lifts.length);
      sheets.forEach(({ lines, words }, i) => {
        const { placed, row } = lifts[i]!;
        const circles = lines.slice(-placed.length);
        circles.forEach((circle, k) => {
          const [x, y] = middle(circle);
          expect([x, y]).toEqual([
            expect.closeTo(placed[k]!.at.x, 6),
            expect.closeTo(placed[k]!.at.y, 6),
          ]);
          expect(across(circle)).toBeCloseTo(row!.outerMm, 6);
          shown += 1;
        });
        expect(words.filter(({ text }) => /^\d+: /.test(text))).toHaveLength(placed.length);
      });
    }
    expect(shown).toBeGreaterThan(10);
  });

  it('have the board, the boards between tiers and the hole of the rod, each as wide as it is', () => {
    for (const { build, plan } of planned) {
      const sheets = buildSheets('boards', build, plan, metric);
      const cards = build.tiers.flatMap(({ stand }, i) => [
        ...(i > 0 && stand.card ? [stand.card] : []),
        ...stand.decks,
      ]);
      expect(sheets).toHaveLength(cards.length + (plan.board ? 1 : 0));
      if (plan.board)
        expect(across(sheets[0]!.lines[0]!)).toBeCloseTo(widthMm(plan.board.outline), 1);
      const rod = plan.support?.rod;
      if (rod) {
        const hole = sheets[0]!.lines.at(-1)!;
        expect(across(hole)).toBeCloseTo(rod.holeMm, 6);
        expect(middle(hole)[0]).toBeCloseTo(rod.at.x, 6);
      }
    }
    expect(planned.some(({ plan }) => plan.support?.rod)).toBe(true);
  });

  it('cut the whole cake into pieces: together they are what the outline holds', () => {
    for (const { build, plan } of planned) {
      const tiers = build.tiers.filter((_, i) => plan.tiers[i]!.servings > 0);
      const sheets = buildSheets('cutting', build, plan, metric);
      expect(sheets).toHaveLength(tiers.length);
      sheets.forEach(({ title, lines }, i) => {
        const { outline } = tiers[i]!;
        const { portion, cutting } = build.brief;
        const pieces = lines.slice(outline.kind === 'ring' ? 2 : 1);
        const whole = pieces.reduce((sum, line) => sum + area(line), 0);
        expect(whole).toBeLessThanOrEqual(areaMm2(outline) * 1.005);
        // a grid leaves crumbs at the rim of what is round
        expect(whole).toBeGreaterThan(areaMm2(outline) * 0.9);
        expect(title).toContain(`${countServings(outline, portion, cutting, false)} servings`);
      });
    }
  });

  it('are drawn one to one with their words made safe', () => {
    const { build, plan } = planned.find(
      ({ plan: each }) => (each.support?.lifts.length ?? 0) > 0,
    )!;
    const named = {
      ...build,
      tiers: build.tiers.map((tier) => ({ ...tier, name: '<b>"tier"</b>' })),
    };
    for (const kind of sheetKinds) {
      const svg = templatesSvg(buildSheets(kind, named, plan, metric), named.name);
      expect(svg).toMatch(/width="([\d.]+)mm" height="[\d.]+mm" viewBox="0 0 \1 /);
      expect(svg).not.toContain('<b>');
    }
  });
});
