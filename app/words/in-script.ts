import ts from 'typescript';
import {
  hasWords,
  looksCoded,
  looksRead,
  mayBeIds,
  readArguments,
  readProperties,
  unreadCalls,
} from './looks.ts';
import type { Message } from './message.ts';

/** How a piece of a script is read. */
export interface Reading {
  /** Where the piece begins in the file. */
  offset: number;
  /** Values that the program compares or stores: never for people, whatever they look like. */
  ids: ReadonlySet<string>;
  /** Whether what the piece comes to is shown, so that a single word is for people as well. */
  isShown?: boolean;
  isQuoted?: boolean;
}

type Words = ts.StringLiteral | ts.NoSubstitutionTemplateLiteral | ts.TemplateExpression;

const isWords = (node: ts.Node): node is Words =>
  ts.isStringLiteral(node) ||
  ts.isNoSubstitutionTemplateLiteral(node) ||
  ts.isTemplateExpression(node);

const textOf = (node: Words): string =>
  ts.isTemplateExpression(node)
    ? node.head.text + node.templateSpans.map(({ literal }, i) => `{${i}}${literal.text}`).join('')
    : node.text;

const calledName = ({ expression }: ts.CallExpression): string =>
  ts.isPropertyAccessExpression(expression) ? expression.name.text : expression.getText();

/** Names, keys, addresses of files: literals that are a part of the script itself. */
function isOfTheScript(node: Words): boolean {
  const { parent } = node;
  return (
    ts.isImportDeclaration(parent) ||
    ts.isExportDeclaration(parent) ||
    ts.isLiteralTypeNode(parent) ||
    ts.isTaggedTemplateExpression(parent) ||
    ts.isElementAccessExpression(parent) ||
    (ts.isPropertyAssignment(parent) && parent.name === node) ||
    (ts.isCallExpression(parent) &&
      (parent.expression.kind === ts.SyntaxKind.ImportKeyword ||
        unreadCalls.has(calledName(parent))))
  );
}

const comparing = new Set([
  ts.SyntaxKind.EqualsEqualsEqualsToken,
  ts.SyntaxKind.ExclamationEqualsEqualsToken,
  ts.SyntaxKind.InKeyword,
]);

const isCompared = ({ parent }: ts.Node): boolean =>
  (ts.isBinaryExpression(parent) && comparing.has(parent.operatorToken.kind)) ||
  ts.isCaseClause(parent);

const isKey = (node: ts.StringLiteral): boolean =>
  ts.isPropertyAssignment(node.parent) && node.parent.name === node;

/** The expression whose value a literal becomes: up through choices, sums and brackets. */
function becomes(node: ts.Node): ts.Node {
  const { parent } = node;
  const goesOn =
    ts.isParenthesizedExpression(parent) ||
    (ts.isConditionalExpression(parent) && parent.condition !== node) ||
    (ts.isBinaryExpression(parent) &&
      [
        ts.SyntaxKind.PlusToken,
        ts.SyntaxKind.QuestionQuestionToken,
        ts.SyntaxKind.BarBarToken,
      ].includes(parent.operatorToken.kind)) ||
    (ts.isBinaryExpression(parent) &&
      parent.operatorToken.kind === ts.SyntaxKind.AmpersandAmpersandToken &&
      parent.right === node) ||
    ts.isAsExpression(parent) ||
    ts.isSatisfiesExpression(parent) ||
    ts.isNonNullExpression(parent);
  return goesOn ? becomes(parent) : node;
}

/** Whether an object is a list of words by what they stand for: a record of strings. */
function isRecordOfWords(object: ts.Node): boolean {
  const { parent } = object;
  const type =
    ts.isVariableDeclaration(parent) || ts.isSatisfiesExpression(parent) ? parent.type : undefined;
  return type !== undefined && /^(?:Partial<)?Record<[^]*, string>>?$/.test(type.getText());
}

/** How surely a place of the script takes words: a property or a value of a function that is shown. */
function readPlace(node: ts.Node): 'surely' | 'unless an id' | null {
  const { parent } = node;
  if (ts.isPropertyAssignment(parent) && parent.initializer === node) {
    if (isRecordOfWords(parent.parent)) return 'surely';
    if (!ts.isIdentifier(parent.name) || !readProperties.has(parent.name.text)) return null;
    return mayBeIds.has(parent.name.text) ? 'unless an id' : 'surely';
  }
  if (!ts.isCallExpression(parent)) return null;
  const at = parent.arguments.indexOf(node as ts.Expression);
  return readArguments[calledName(parent)]?.includes(at) ? 'surely' : null;
}

/** Whether a text with slots puts words together: there is a space in it, and nothing of a program. */
const joinsWords = (whole: ts.TemplateExpression): boolean => {
  const text = textOf(whole);
  return /\s/.test(text) && !looksCoded(text);
};

/** The words for people in a script, or in an expression of a template. */
export function messagesInScript(code: string, reading: Reading): Message[] {
  const { offset, ids, isShown = false, isQuoted = false } = reading;
  const file = ts.createSourceFile('words.ts', code, ts.ScriptTarget.Latest, true);
  const found: Message[] = [];
  const isMessage = (node: Words): boolean => {
    const text = textOf(node);
    if (!hasWords(text) || isOfTheScript(node) || isCompared(node)) return false;
    const value = becomes(node);
    const place = readPlace(value);
    // what is filled into words are words
    const isFilledIn = ts.isTemplateSpan(value.parent) && joinsWords(value.parent.parent);
    const isSure =
      place === 'surely' || isFilledIn || (isShown && ts.isExpressionStatement(value.parent));
    if (isSure && !looksCoded(text) && /^[^\p{L}]*[\p{L}’-]+(?!\/|\p{Lu})/u.test(text)) return true;
    return !ids.has(text) && (looksRead(text) || (place !== null && /^\p{L}+$/u.test(text)));
  };
  const visit = (node: ts.Node): void => {
    if (isWords(node) && isMessage(node))
      found.push({
        start: offset + node.getStart(file),
        end: offset + node.getEnd(),
        text: textOf(node),
        slots: ts.isTemplateExpression(node)
          ? node.templateSpans.map(({ expression }) => ({
              start: offset + expression.getStart(file),
              end: offset + expression.getEnd(),
            }))
          : [],
        as: 'value',
        isQuoted,
      });
    if (!ts.isTypeNode(node)) ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

/** Adds what a script compares, names in its types, or has as keys and in lists of constants: values of the program. */
export function gatherIds(code: string, ids: Set<string>): void {
  const file = ts.createSourceFile('words.ts', code, ts.ScriptTarget.Latest, true);
  const visit = (node: ts.Node): void => {
    if (
      ts.isLiteralTypeNode(node) &&
      ts.isStringLiteral(node.literal) &&
      !ts.isIndexedAccessTypeNode(node.parent)
    )
      ids.add(node.literal.text);
    if (ts.isStringLiteral(node) && (isCompared(node) || isKey(node))) ids.add(node.text);
    if (
      ts.isAsExpression(node) &&
      node.type.getText(file) === 'const' &&
      ts.isArrayLiteralExpression(node.expression)
    )
      for (const one of node.expression.elements) if (ts.isStringLiteral(one)) ids.add(one.text);
    ts.forEachChild(node, visit);
  };
  visit(file);
}
