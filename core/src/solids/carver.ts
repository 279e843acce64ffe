import type { CarveResult, CarveStep, Lines, Offcut, Vec3 } from '../carve/result.ts';
import type { CarveQuestion, Cut, CutKind, SetPiece } from '../carve/types.ts';
import { phrase } from '../units/phrase.ts';
import { pieceShares, weigh, wholeOf, type Body, type Piece } from './body.ts';
import { Scope, type Library, type Solid } from './library.ts';
import { far } from './lines.ts';
import { footOf, type Made, type Making } from './making.ts';
import { plainLines, shadow } from './measure.ts';
import { join, lay } from './moving.ts';
import { flatOf } from './outlines.ts';
import { partBy } from './parting.ts';
import { setPiece } from './set-back.ts';
import { stockBody } from './stock-solid.ts';

/** Cuts that take shavings: what they take never comes away whole. */
const shaved: readonly CutKind[] = ['profile', 'target', 'edge', 'groove', 'flutes', 'scoop'];

/** The cake as it is seen where the line of a cut is drawn over it. */
function seenBehind(cut: Cut, whole: () => Solid, { lib, scratch }: Making): Lines {
  if (cut.kind === 'silhouette') return shadow(whole(), cut.seen, scratch);
  if (cut.kind !== 'profile') return [];
  // of a turned shape only the right half is drawn
  const right = scratch.hold(
    scratch.hold(lib.CrossSection.square([far, 2 * far])).translate([0, -far]),
  );
  const seen = scratch.hold(flatOf(lib, shadow(whole(), 'front', scratch)));
  return plainLines(scratch.hold(seen.intersect(right)), scratch);
}

/** How the cake stands after a cut. `offcuts` are the pieces lying beside it. */
export interface State {
  key: string;
  body: Body;
  step: CarveStep;
  offcuts: { record: Offcut; piece: Piece }[];
  glueMl: number;
  held: CarveResult['held'][number] | null;
  laid: boolean;
  /** Everything in one, once it has been asked for. */
  whole?: Solid;
  /** What this state made; deleted with it. */
  own: Scope;
}

/**
 * Carves one cake cut by cut and keeps the solid after each, so that a change costs only what
 * follows it. Everything it holds is deleted by `end`.
 */
export class Carver {
  private states: State[] = [];
  private stockKey = '';
  private stock: { body: Body; own: Scope; whole?: Solid } | null = null;

  constructor(
    readonly lib: Library,
    readonly segments = 128,
  ) {}

  /** The stack before the first cut, and how it stands after each. */
  carve(question: CarveQuestion): { stock: Body; states: readonly State[] } {
    const stockKey = JSON.stringify([question.stock, question.cover]);
    if (!this.stock || stockKey !== this.stockKey) {
      this.end();
      const own = new Scope();
      const body = stockBody(this.lib, question.stock, this.segments, own);
      this.stock = { body, own };
      this.stockKey = stockKey;
    }
    let i = 0;
    while (
      i < this.states.length &&
      i < question.cuts.length &&
      this.states[i]!.key === JSON.stringify(question.cuts[i])
    )
      i++;
    this.dropFrom(i);
    for (; i < question.cuts.length; i++) this.states.push(this.next(question, question.cuts[i]!));
    return { stock: this.stock.body, states: this.states };
  }

  /** The cake after the last cut. */
  body(): Body {
    return this.states.at(-1)?.body ?? this.stock!.body;
  }

  /** The same as one solid, glued together; kept as long as the cut is. */
  whole(): Solid {
    const last = this.states.at(-1);
    const own = last?.own ?? this.stock!.own;
    const kept = last ?? this.stock!;
    return (kept.whole ??= wholeOf(this.lib, this.body(), own));
  }

  /** Offcuts of every cut. */
  get lying(): State['offcuts'] {
    return this.states.flatMap((state) => state.offcuts);
  }
  /** Offcuts set back on the cake. */
  get settled(): SetPiece[] {
    return this.states.flatMap(({ key, step }) => {
      const cut = JSON.parse(key) as Cut;
      return cut.kind === 'set' && step.problem === null ? [cut] : [];
    });
  }

  /** Lets go of everything. */
  end(): void {
    this.dropFrom(0);
    this.stock?.own.release();
    this.stock = null;
    this.stockKey = '';
  }

  private dropFrom(i: number): void {
    for (const state of this.states.splice(i)) state.own.release();
  }

  private next(question: CarveQuestion, cut: Cut): State {
    const before = this.states.at(-1);
    const own = new Scope();
    const scratch = new Scope();
    const base: Omit<State, 'step'> & { removed: Piece[] } = {
      key: JSON.stringify(cut),
      body: this.body(),
      offcuts: [],
      glueMl: 0,
      held: null,
      laid: before?.laid ?? false,
      own,
      removed: [],
    };
    const ctx: Making = { lib: this.lib, segments: this.segments, question, own, scratch };
    try {
      const behind = seenBehind(cut, () => this.whole(), ctx);
      const made = this.make(cut, base.body, ctx);
      const problem = made.problem ?? null;
      const body = problem ? base.body : (made.body ?? base.body);
      const removed = problem ? [] : (made.removed ?? []);
      const pieces = removed.map((piece, n) => this.record(cut, n, piece));
      const crumbs = problem ? [] : (made.crumbs ?? []);
      const gone = weigh([...pieces.flatMap((p) => p.shares), ...crumbs]);
      const left = weigh(body.flatMap(pieceShares));
      return {
        ...base,
        body,
        offcuts: pieces.map(({ offcut }, n) => ({ record: offcut, piece: removed[n]! })),
        glueMl: problem ? 0 : (made.glueMl ?? 0),
        held: problem ? null : (made.held ?? null),
        laid: base.laid || (cut.kind === 'lay' && !problem),
        step: {
          cutId: cut.id,
          problem,
          note: made.note ?? null,
          removedMl: gone.ml,
          removedG: gone.massG,
          byPart: gone.byPart,
          pieces: pieces.map((p) => p.offcut),
          leftMl: left.ml,
          leftG: left.massG,
          centre: left.centre,
          topMm: Math.max(...body.map((p) => p.solid.boundingBox().max[2])),
          footMm2: footOf(body),
          lacks: problem ? [] : (made.lacks ?? []),
          behind,
        },
      };
    } catch (error) {
      // what the library cannot do leaves the cake as it was
      own.release();
      return { ...base, own: new Scope(), step: this.failed(cut, base.body, error) };
    } finally {
      scratch.release();
    }
  }

  private failed(cut: Cut, body: Body, error: unknown): CarveStep {
    const left = weigh(body.flatMap(pieceShares));
    const why = error instanceof Error ? error.message : String(error);
    return {
      cutId: cut.id,
      problem: phrase(`This cut cannot be worked out (${why}). The cake is left as it was.`),
      note: null,
      removedMl: 0,
      removedG: 0,
      byPart: {},
      pieces: [],
      leftMl: left.ml,
      leftG: left.massG,
      centre: left.centre,
      topMm: Math.max(...body.map((p) => p.solid.boundingBox().max[2])),
      footMm2: footOf(body),
      lacks: [],
      behind: [],
    };
  }

  private record({ id: cutId, kind }: Cut, n: number, piece: Piece) {
    const shares = pieceShares(piece);
    const { ml, massG, byPart } = weigh(shares);
    const { min, max } = piece.solid.boundingBox();
    const size = [max[0] - min[0], max[1] - min[1], max[2] - min[2]].sort((a, b) => b - a);
    const offcut: Offcut = {
      cutId,
      piece: n,
      sizeMm: size as Vec3,
      ml,
      massG,
      byPart,
      whole: !shaved.includes(kind),
      usedBy: null,
    };
    return { offcut, shares };
  }

  private make(cut: Cut, body: Body, ctx: Making): Made {
    switch (cut.kind) {
      case 'relief':
        return {};
      case 'halves':
        return join(cut, body, ctx);
      case 'lay':
        return lay(cut, body, ctx);
      case 'set':
        return this.setBack(cut, body, ctx);
      default:
        return partBy(cut, body, ctx);
    }
  }

  private setBack(cut: SetPiece, body: Body, ctx: Making): Made {
    const from = this.states
      .flatMap((state) => state.offcuts)
      .find(({ record }) => record.cutId === cut.fromCutId && record.piece === cut.piece);
    if (!from)
      return {
        problem: phrase('The piece this sets back is no longer there: choose another offcut.'),
      };
    const isTaken = this.settled.some(
      (other) => other.fromCutId === cut.fromCutId && other.piece === cut.piece,
    );
    if (isTaken) return { problem: phrase('This offcut is set back on already.') };
    return setPiece(cut, from.piece, body, ctx);
  }
}
