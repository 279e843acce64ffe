/**
 * Where a text of JSON nests deeper than so many brackets: how far from its beginning; null where it does not.
 * Read letter by letter, before anything that would need as many calls inside each other.
 */
export function tooDeepAt(text: string, most: number): number | null {
  let depth = 0;
  let isQuoted = false;
  for (let i = 0; i < text.length; i++) {
    const letter = text.charCodeAt(i);
    if (isQuoted) {
      if (letter === backslash) i += 1;
      else if (letter === quote) isQuoted = false;
    } else if (letter === quote) isQuoted = true;
    else if (letter === openBrace || letter === openBracket) {
      depth += 1;
      if (depth > most) return i;
    } else if (letter === closeBrace || letter === closeBracket) depth -= 1;
  }
  return null;
}
const [quote, backslash, openBracket, closeBracket, openBrace, closeBrace] = [...'"\\[]{}'].map(
  (letter) => letter.charCodeAt(0),
) as [number, number, number, number, number, number];
