import type {
  AttributeNode,
  DirectiveNode,
  ElementNode,
  InterpolationNode,
  RootNode,
  TemplateChildNode,
  TextNode,
} from '@vue/compiler-core';
import { hasWords, looksRead, readAttributes, unreadAttributes } from './looks.ts';
import { messagesInScript } from './in-script.ts';
import type { Message } from './message.ts';

type Child = TemplateChildNode;

/* By the numbers of the compiler's nodes: its enumerations are types alone. */
const isOf =
  (number: number) =>
  ({ type }: { type: number }): boolean =>
    type === number;
const isElement = (node: Child): node is ElementNode => isOf(1)(node);
const isText = (node: Child): node is TextNode => isOf(2)(node);
const isComment = isOf(3);
const isInterpolation = (node: Child): node is InterpolationNode => isOf(5)(node);
const isAttribute = (one: AttributeNode | DirectiveNode): one is AttributeNode => isOf(6)(one);

const directiveOf = (node: Child, ...names: string[]): boolean =>
  isElement(node) && node.props.some((one) => !isAttribute(one) && names.includes(one.name));

/** Signs within an entity, as a text between tags has them. */
export const escaped = (words: string): string =>
  words
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/\u00a0/g, '&nbsp;');

/** Children that stay together: an element, and those that stand instead of it. */
function groups(children: readonly Child[]): Child[][] {
  const found: Child[][] = [];
  for (const child of children) {
    const last = found.at(-1);
    const isElse = directiveOf(child, 'else', 'else-if');
    if (isElse) {
      // what is between an element and its other case, blanks and comments, goes with them
      let group = found.pop()!;
      while (found.length > 0 && (isText(group[0]!) || isComment(group[0]!)))
        group = [...found.pop()!, ...group];
      found.push([...group, child]);
    } else if (isComment(child) && last) last.push(child);
    else found.push([child]);
  }
  return found;
}

/**
 * The words between the tags of one element: one text, with what stands between its words filled in, so that a
 * translation can put them in another order. Null where no word stands between them.
 */
function contentMessage(children: readonly Child[]): Message | null {
  const parts = groups(children);
  if (!parts.some(([first]) => isText(first!) && hasWords(first.content))) return null;
  let words = '';
  const slots: { start: number; end: number }[] = [];
  for (const group of parts) {
    const first = group[0]!;
    if (isText(first)) words += first.content;
    else {
      words += `{${slots.length}}`;
      slots.push({ start: first.loc.start.offset, end: group.at(-1)!.loc.end.offset });
    }
  }
  return {
    start: children[0]!.loc.start.offset,
    end: children.at(-1)!.loc.end.offset,
    text: words,
    slots,
    as: 'content',
  };
}

/** Whether an element is a part of ours, whose `name` is shown; one of the page has a name for the program. */
const isPart = ({ tag }: ElementNode): boolean =>
  /^(?:[A-Z]|v-)/.test(tag) && !/^Transition/.test(tag);

function attributeMessage({ name, value }: AttributeNode, of: ElementNode): Message | null {
  if (!value || unreadAttributes.has(name) || (name === 'name' && !isPart(of))) return null;
  const isRead = (readAttributes.has(name) || name === 'name') && /\p{L}{2,}/u.test(value.content);
  return isRead || looksRead(value.content)
    ? {
        start: value.loc.start.offset,
        end: value.loc.end.offset,
        text: value.content,
        slots: [],
        as: 'attribute',
      }
    : null;
}

function directiveMessages(one: DirectiveNode, ids: ReadonlySet<string>): Message[] {
  const { exp, name, arg } = one;
  if (!exp || name === 'for' || name === 'slot') return [];
  const bound = arg && 'content' in arg ? arg.content : name;
  if (name === 'bind' && unreadAttributes.has(bound)) return [];
  // statements of a handler stand as they are, a value is put in brackets so that { } is one as well
  const isStatement = name === 'on';
  const source = exp.loc.source;
  return messagesInScript(isStatement ? source : `(${source})`, {
    offset: exp.loc.start.offset - (isStatement ? 0 : 1),
    ids,
    isShown: (name === 'bind' && readAttributes.has(bound)) || name === 'tip' || name === 'text',
    isQuoted: true,
  });
}

/** The words for people in a template. */
export function messagesInTemplate(root: RootNode, ids: ReadonlySet<string>): Message[] {
  const found: Message[] = [];
  const within = (children: readonly Child[]): void => {
    const shown = children.filter((child) => !directiveOf(child, 'slot'));
    // named parts of a component stand for themselves
    const isWhole = shown.length === children.length && children.length > 0;
    const own = isWhole ? [children] : shown.filter(isText).map((child) => [child]);
    found.push(...own.map(contentMessage).filter((message) => message !== null));
    for (const child of children) {
      if (isInterpolation(child)) {
        const { source, start } = child.content.loc;
        found.push(
          ...messagesInScript(`(${source})`, { offset: start.offset - 1, ids, isShown: true }),
        );
      }
      if (isElement(child)) visit(child);
    }
  };
  const visit = (node: ElementNode): void => {
    for (const one of node.props) {
      if (isAttribute(one)) {
        const message = attributeMessage(one, node);
        if (message) found.push(message);
      } else found.push(...directiveMessages(one, ids));
    }
    within(node.children);
  };
  within(root.children);
  return found;
}
