/** Letters that look alike and are none of English: what stands in plain ones has not gone through the catalogue. */
const alike: Record<string, string> = {
  ...{ a: 'á', b: 'ƀ', c: 'ç', d: 'đ', e: 'é', f: 'ƒ', g: 'ğ', h: 'ħ', i: 'í', j: 'ĵ', k: 'ķ' },
  ...{ l: 'ł', m: 'ɱ', n: 'ñ', o: 'ö', p: 'þ', q: 'ɋ', r: 'ŕ', s: 'š', t: 'ŧ', u: 'ü', v: 'ṽ' },
  ...{ w: 'ŵ', x: 'ẋ', y: 'ý', z: 'ž' },
  ...{ A: 'Á', B: 'Ɓ', C: 'Ç', D: 'Đ', E: 'É', F: 'Ƒ', G: 'Ğ', H: 'Ħ', I: 'Í', J: 'Ĵ', K: 'Ķ' },
  ...{ L: 'Ł', M: 'Ṁ', N: 'Ñ', O: 'Ö', P: 'Þ', Q: 'Ɋ', R: 'Ŕ', S: 'Š', T: 'Ŧ', U: 'Ü', V: 'Ṽ' },
  ...{ W: 'Ŵ', X: 'Ẋ', Y: 'Ý', Z: 'Ž' },
};

/** A text as a language that nobody speaks has it: read by everyone, and told from what is not translated. */
export const pseudo = (text: string): string =>
  text
    .split(/(\{\w+\})/)
    .map((part) => (part.startsWith('{') ? part : part.replace(/[a-zA-Z]/g, (one) => alike[one]!)))
    .join('');

/** Where the files of a cake hold words of their owner. */
const ownWords = new Set(
  'aliases caution contact customer label name notes occasion place steps text tint title what words'.split(
    ' ',
  ),
);

/** A cake's file with its owner's words in the letters of {@link pseudo}, so that the program's own stand out. */
export const pseudoFile = (json: string): string => {
  const walked = (value: unknown, isOwn: boolean): unknown => {
    if (typeof value === 'string') return isOwn ? pseudo(value) : value;
    if (Array.isArray(value)) return value.map((one) => walked(one, isOwn));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([name, one]) => [
        name,
        name === 'carvings' ? one : walked(one, ownWords.has(name)),
      ]),
    );
  };
  return JSON.stringify(walked(JSON.parse(json), false));
};
