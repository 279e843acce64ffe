import { parse } from 'vue/compiler-sfc';
import { gatherIds, messagesInScript } from './in-script.ts';
import { escaped, messagesInTemplate } from './in-template.ts';
import type { Message } from './message.ts';

/** What a text is in a language; null where it has none for it. Forms go by how many: {@link Forms}. */
export type Translate = (text: string) => string | Forms | null;

/** One text in the forms of a language's plural, told by the figure in the slot `by`. */
export interface Forms {
  by: number;
  other: string;
  [category: string]: string | number;
}

/** The text as it stands in the catalogue: what is blank before and behind it is no part of it. */
export const keyOf = ({ text }: Message): string => text.replace(/[ \t\n\r]+/g, ' ').trim();

/** The words for people in a file of the program, in the order of the file. */
export function messagesOf(path: string, code: string, ids: ReadonlySet<string>): Message[] {
  if (!path.endsWith('.vue')) return messagesInScript(code, { offset: 0, ids });
  const { descriptor } = parse(code, { filename: path, sourceMap: false });
  const scripts = [descriptor.script, descriptor.scriptSetup].flatMap((block) =>
    block ? messagesInScript(block.content, { offset: block.loc.start.offset, ids }) : [],
  );
  const { template } = descriptor;
  const inTemplate = template?.ast ? messagesInTemplate(template.ast, ids) : [];
  return [...scripts, ...inTemplate].sort((a, b) => a.start - b.start || b.end - a.end);
}

/** Adds the values of a file that are none of people's: see {@link gatherIds}. */
export function idsOf(path: string, code: string, ids: Set<string>): void {
  if (!path.endsWith('.vue')) return gatherIds(code, ids);
  const { descriptor } = parse(code, { filename: path, sourceMap: false });
  for (const block of [descriptor.script, descriptor.scriptSetup])
    if (block) gatherIds(block.content, ids);
}

const inTicks = (words: string): string => words.replace(/[\\`]|\$\{/g, '\\$&');

/** A text with its slots filled in by `fill`, its own words written by `write`. */
const filled = (
  text: string,
  count: number,
  write: (words: string) => string,
  fill: (slot: number) => string,
): string =>
  text
    .split(/(\{\d+\})/)
    .map((part) => {
      const slot = /^\{(\d+)\}$/.exec(part);
      return slot && Number(slot[1]) < count ? fill(Number(slot[1])) : write(part);
    })
    .join('');

/** A value of the script: a template text, or a choice between the forms of a plural. */
function asValue(said: string | Forms, slots: string[], language: string): string {
  const one = (text: string): string =>
    `\`${filled(text, slots.length, inTicks, (k) => `\${${slots[k]}}`)}\``;
  if (typeof said === 'string') return one(said);
  const { by, ...forms } = said;
  const cases = Object.entries(forms).map(
    ([category, text]) => `${category}: ${one(String(text))}`,
  );
  const chosen = `new Intl.PluralRules('${language}').select(Number(${slots[by] ?? 0}))`;
  return `((forms) => forms[${chosen}] ?? forms.other)({ ${cases.join(', ')} })`;
}

function written(
  message: Message,
  said: string | Forms,
  slots: string[],
  language: string,
): string {
  const [before] = /^\s*/.exec(message.text)!;
  const [behind] = /\s*$/.exec(message.text)!;
  const around = (words: string): string => `${before}${words}${behind}`;
  if (message.as === 'value') {
    const value = asValue(
      typeof said === 'string'
        ? around(said)
        : (Object.fromEntries(
            Object.entries(said).map(([name, one]) => [
              name,
              typeof one === 'string' ? around(one) : one,
            ]),
          ) as unknown as Forms),
      slots,
      language,
    );
    return message.isQuoted ? value.replace(/"/g, '&quot;') : value;
  }
  if (message.as === 'attribute') {
    const text = typeof said === 'string' ? said : said.other;
    return `"${around(text).replace(/&/g, '&amp;').replace(/"/g, '&quot;')}"`;
  }
  const one = (text: string): string =>
    around(filled(text, slots.length, escaped, (k) => slots[k]!));
  return typeof said === 'string' ? one(said) : inCases(said, slots, language, one);
}

/** What stands between tags in the forms of a plural: a case for each, by the figure that stands in a slot. */
function inCases(
  { by, other, ...forms }: Forms,
  slots: readonly string[],
  language: string,
  one: (text: string) => string,
): string {
  const figure = /^\{\{([^]*)\}\}$/.exec(slots[by] ?? '')?.[1]?.trim();
  if (figure === undefined) return one(other);
  const chosen = `new Intl.PluralRules('${language}').select(Number(${figure}))`;
  const cases = Object.entries(forms).map(
    ([category, text], i) =>
      `<template v-${i === 0 ? 'if' : 'else-if'}="${`${chosen} === '${category}'`.replace(/"/g, '&quot;')}">${one(String(text))}</template>`,
  );
  return cases.length === 0
    ? one(other)
    : `${cases.join('')}<template v-else>${one(other)}</template>`;
}

/** A file of the program with its words in another language; what has no translation stays as it is. */
export function rewritten(
  code: string,
  messages: readonly Message[],
  translate: Translate,
  language: string,
): string {
  const piece = (start: number, end: number, within: readonly Message[]): string => {
    let at = start;
    let out = '';
    for (let i = 0; i < within.length;) {
      const message = within[i]!;
      let next = i + 1;
      while (next < within.length && within[next]!.start < message.end) next += 1;
      const inner = within.slice(i + 1, next);
      const said = translate(keyOf(message));
      const slots = message.slots.map((slot) =>
        piece(
          slot.start,
          slot.end,
          inner.filter((one) => one.start >= slot.start && one.end <= slot.end),
        ),
      );
      out += code.slice(at, message.start);
      out +=
        said === null
          ? piece(message.start, message.end, inner)
          : written(message, said, slots, language);
      at = message.end;
      i = next;
    }
    return out + code.slice(at, end);
  };
  return piece(0, code.length, messages);
}
