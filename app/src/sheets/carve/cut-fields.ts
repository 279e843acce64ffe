import { limits, type Cut, type CutKind, type Kind, type Motif, type Range } from '@pyrgotect/core';

/** A figure of a cut, or a choice, as a field shows it. */
export type CutField =
  | { key: string; label: string; kind: Kind | 'degrees'; range: Range; nullable?: string }
  | { key: string; label: string; options: { value: string; text: string }[] };

const up = (label = 'height above the foot'): CutField => ({
  key: 'upMm',
  label,
  kind: 'span',
  range: limits.carveUp,
});
const out = (label = 'out from the axis'): CutField => ({
  key: 'outMm',
  label,
  kind: 'span',
  range: limits.carvePlace,
});
const bearing = (label = 'towards, as on a clock'): CutField => ({
  key: 'bearingDeg',
  label,
  options: [
    'the back, 12 o’clock',
    '1 o’clock',
    '2 o’clock',
    'the right, 3 o’clock',
    '4 o’clock',
    '5 o’clock',
    'the front, 6 o’clock',
    '7 o’clock',
    '8 o’clock',
    'the left, 9 o’clock',
    '10 o’clock',
    '11 o’clock',
  ].map((text, i) => ({ value: String(i * 30), text })),
});
const glue: CutField = {
  key: 'glueMm',
  label: 'frosting between',
  kind: 'fine',
  range: limits.glueMm,
};
const drawn: CutField = {
  key: 'drawn',
  label: 'the line is',
  options: [
    { value: 'finished', text: 'that of the finished cake' },
    { value: 'knife', text: 'the knife’s own' },
  ],
};

/** What can be set for each kind of cut, in the order it is read. */
export const cutFields: Record<CutKind, CutField[]> = {
  plane: [
    bearing('falls towards'),
    { key: 'slopeDeg', label: 'slope', kind: 'degrees', range: limits.slopeDeg },
    out('goes through a point, out from the axis'),
    up('and above the foot'),
    {
      key: 'away',
      label: 'comes away',
      options: [
        { value: 'above', text: 'what is above and outside' },
        { value: 'below', text: 'what is below and inside' },
      ],
    },
  ],
  step: [
    bearing('on the side'),
    { key: 'slopeDeg', label: 'slope of the face', kind: 'degrees', range: limits.stepSlopeDeg },
    up('ledge above the foot'),
    out('ledge begins, out from the axis'),
  ],
  edge: [
    {
      key: 'form',
      label: 'edge',
      options: [
        { value: 'rounded', text: 'rounded' },
        { value: 'bevelled', text: 'bevelled' },
      ],
    },
    {
      key: 'where',
      label: 'at',
      options: [
        { value: 'top', text: 'the top' },
        { value: 'foot', text: 'the foot' },
      ],
    },
    { key: 'sizeMm', label: 'size', kind: 'span', range: limits.edgeMm },
  ],
  silhouette: [
    {
      key: 'seen',
      label: 'seen from',
      options: [
        { value: 'front', text: 'the front' },
        { value: 'side', text: 'the right side' },
      ],
    },
    drawn,
  ],
  profile: [
    drawn,
    {
      key: 'curved',
      label: 'between points',
      options: [
        { value: 'false', text: 'straight' },
        { value: 'true', text: 'a curve' },
      ],
    },
  ],
  flutes: [
    { key: 'count', label: 'how many', kind: 'count', range: limits.flutes },
    { key: 'depthMm', label: 'deep', kind: 'thickness', range: limits.fluteDepthMm },
    {
      key: 'widthMm',
      label: 'wide',
      kind: 'thickness',
      range: limits.grooveMm,
      nullable: 'until they meet',
    },
    { key: 'fromMm', label: 'from', kind: 'span', range: limits.carveUp },
    { key: 'toMm', label: 'up to', kind: 'span', range: limits.carveUp },
  ],
  scoop: [
    bearing(),
    out('its middle, out from the axis'),
    up('its middle above the foot'),
    { key: 'radiusMm', label: 'radius', kind: 'span', range: limits.scoopMm },
  ],
  core: [
    { key: 'diameterMm', label: 'across', kind: 'span', range: limits.scoopMm },
    up('down to, above the foot'),
    out(),
    bearing(),
  ],
  groove: [
    up('its middle above the foot'),
    { key: 'widthMm', label: 'wide', kind: 'thickness', range: limits.grooveMm },
    { key: 'depthMm', label: 'deep', kind: 'thickness', range: limits.fluteDepthMm },
  ],
  // what else is asked goes by its motif and its place
  relief: [
    {
      key: 'motif',
      label: 'it shows',
      options: [
        { value: 'letters', text: 'letters' },
        { value: 'oval', text: 'a round or an oval' },
        { value: 'oblong', text: 'an oblong or a slit' },
        { value: 'heart', text: 'a heart' },
        { value: 'star', text: 'a star' },
        { value: 'own', text: 'your own drawing' },
      ],
    },
    {
      key: 'where',
      label: 'cut into',
      options: [
        { value: 'side', text: 'the side' },
        { value: 'top', text: 'the top' },
      ],
    },
  ],
  halves: [
    up('parted at, above the foot'),
    { key: 'trimMm', label: 'trimmed off each face', kind: 'fine', range: limits.trimFaceMm },
    glue,
  ],
  target: [
    { key: 'heightMm', label: 'high', kind: 'span', range: limits.targetMm },
    up('its foot above the board'),
    { key: 'turnDeg', label: 'turned', kind: 'degrees', range: limits.bearingDeg },
  ],
  set: [
    up('its foot above the board'),
    out('its middle, out from the axis'),
    bearing(),
    { key: 'turnDeg', label: 'turned round', kind: 'degrees', range: limits.bearingDeg },
    { key: 'tiltDeg', label: 'tipped over', kind: 'degrees', range: limits.tiltDeg },
    glue,
  ],
  lay: [
    bearing('laid over towards'),
    { key: 'overDeg', label: 'by', kind: 'degrees', range: limits.overDeg },
  ],
};

const wide: CutField = { key: 'wideMm', label: 'wide', kind: 'span', range: limits.motifMm };
const high: CutField = { key: 'highMm', label: 'high', kind: 'span', range: limits.motifMm };
const sizes: Record<Motif, CutField[]> = {
  own: [{ key: 'areaMm2', label: 'area', kind: 'area', range: limits.reliefMm2 }],
  letters: [
    { ...high, label: 'height of the letters' },
    { key: 'strokeMm', label: 'width of the strokes', kind: 'fine', range: limits.strokeMm },
  ],
  oval: [wide, high],
  oblong: [wide, high],
  heart: [wide, high],
  star: [wide, high],
};
/** What can be set of a cut: of a relief by what it shows and where it is. */
export const fieldsOf = (cut: Cut): CutField[] =>
  cut.kind !== 'relief'
    ? cutFields[cut.kind]
    : [
        ...cutFields.relief,
        ...sizes[cut.motif],
        { key: 'depthMm', label: 'deep', kind: 'fine', range: limits.reliefMm },
        bearing(),
        cut.where === 'side'
          ? up('its middle above the foot')
          : out('its middle, out from the axis'),
      ];

/** A field's value as a choice names it. */
export const choiceOf = (cut: Cut, key: string): string =>
  String((cut as unknown as Record<string, unknown>)[key]);
/** A choice as the document keeps it. */
export function chosenValue(key: string, value: string): string | number | boolean {
  if (key === 'bearingDeg') return Number(value);
  if (key === 'curved') return value === 'true';
  return value;
}
