import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/*
 * The words of the interface and of the documents: plain English with the standard terms. What was said otherwise
 * before stays out. A rule is looked for in the strings of the interface and in the prose of README and docs.
 */

const ROOT = fileURLToPath(new URL('../..', import.meta.url));

interface Rule {
  /** In documents it is an ordinary word. */
  readonly screenOnly?: true;
  readonly old: RegExp;
  readonly now: string;
  /** Where it is another word: matches of this are no fault. */
  readonly but?: RegExp;
}

const RULES: readonly Rule[] = [
  { old: /\bshel(?:f|ves)\b/i, now: 'classes' },
  { old: /\bby themselves\b/i, now: 'not in a series' },
  { old: /\btake apart\b/i, now: 'ungroup' },
  { old: /\bforetold\b/i, now: 'predicted' },
  { old: /\bset aside\b/i, now: 'dismiss' },
  { old: /\bput(?:ting)? right\b/i, now: 'fix, correct' },
  { old: /\bcould be better\b/i, now: 'suggestions' },
  { old: /\bgoing in\b/i, now: 'inhale share' },
  { old: /\bclosing over opening\b/i, now: 'breath at the end, × the start' },
  { old: /\b(?:opening breath|breath at the opening)\b/i, now: 'breath at the start' },
  { old: /\bgiv(?:e|es|ing) way\b/i, now: 'limits to relax' },
  { old: /\bloosen(?:s|ed)?\b/i, now: 'relax' },
  { old: /\b(?:left|leave|leaves|leaving) out\b/i, now: 'skip; ignore' },
  { old: /\bschools?\b/i, now: 'style', but: /school grade|^schools …/i },
  { old: /\bremarks?\b/i, now: 'ad-lib', but: /^remark …/i },
  { old: /\bread(?:s|ing)? (?:of )?(?:a|the) take\b/i, now: 'analysis, analyse the take' },
  { old: /\b(?:not|least) sure\b/i, now: 'uncertain, most uncertain' },
  { old: /\bsittings?\b/i, now: 'session' },
  { old: /\bguide\b/i, now: 'prompter' },
  { old: /\bhear it\b/i, now: 'preview', but: /(?:to|and|over) hear it/i },
  { old: /\bread-through\b/i, now: 'preview' },
  { old: /\bdark room\b|\bdaylight\b/i, now: 'dark, light' },
  {
    old: /\bbring(?:s|ing)?\b|\bbrought\b/i,
    now: 'add, choose, import',
    screenOnly: true,
    but: /bring (?:the|your|his|her|their|and)? ?(?:feet|home|it home)|brought back: /i,
  },
  { old: /\bkept\b/i, now: 'saved', screenOnly: true, but: /(?:always|never) kept/i },
  { old: /\bkeep it\b/i, now: 'save' },
  { old: /\b(?:off|over|under) by\b/i, now: 'vs target', screenOnly: true },
  { old: /\bthe strip\b|\bone strip\b/i, now: 'timeline' },
  { old: /\bthe usual ways\b/i, now: 'presets' },
  { old: /\b(?:in|out)-breaths?\b/i, now: 'inhale, exhale' },
  { old: /\b(?:line|step) (?:back|on)\b/i, now: 'previous line, next line', but: /step on\b/i },
  { old: /\bcopy of (?:its|the) sound\b|\bsound copy\b/i, now: 'audio proxy' },
  { old: /\bcut version\b/i, now: 'edited version' },
  { old: /\bquiets\b|\ba quiet\b/i, now: 'silence', but: /a quiet (?:room|place)/i },
  { old: /\bworked out\b|\bworking it out\b/i, now: 'calculated', screenOnly: true },
  { old: /\bthin(?:s|ned|ning)? out\b/i, now: 'get shorter', but: /full, then thinning out/i },
];

function filesUnder(folder: string, ending: RegExp): string[] {
  return readdirSync(join(ROOT, folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && ending.test(entry.name) && !/\.test\./.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));
}

/** Attributes that nobody reads. */
const UNREAD = new Set(['className', 'id', 'href', 'key', 'd', 'type', 'role', 'name', 'data-testid', 'src', 'kind']);

/** The strings of a source file that may be shown: texts of elements, and literals with a space or a capital in them. */
function shownStrings(file: string): { readonly at: string; readonly text: string }[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: { at: string; text: string }[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && UNREAD.has(node.name.getText())) return;
    const text = ts.isJsxText(node)
      ? node.text.replace(/\s+/g, ' ').trim()
      : ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
        ? node.text
        : ts.isTemplateExpression(node)
          ? node.head.text + node.templateSpans.map((span) => `… ${span.literal.text}`).join('')
          : '';
    // In the wording of codes a single word is a text too.
    const worded =
      /\/messages\//.test(file) && ts.isPropertyAssignment(node.parent) && node.parent.initializer === node;
    if (/[a-z]{2}/i.test(text) && (ts.isJsxText(node) || worded || / /.test(text) || /^[A-Z]/.test(text))) {
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      found.push({ at: `${relative(ROOT, file)}:${line + 1}`, text });
    }
    ts.forEachChild(node, visit);
  };
  ts.forEachChild(source, visit);
  return found;
}

function faultsIn(strings: readonly { readonly at: string; readonly text: string }[], rules = RULES): string[] {
  return strings.flatMap(({ at, text }) =>
    rules
      .filter(({ old, but }) => old.test(but ? text.replace(new RegExp(but.source, 'gi'), '') : text))
      .map(({ old, now }) => `${at} “${text.slice(0, 80)}” has ${old.source}: ${now}`),
  );
}

/** A document paragraph by paragraph, without code and links' addresses. */
function paragraphs(file: string): { readonly at: string; readonly text: string }[] {
  const prose = readFileSync(file, 'utf8')
    .replace(/```[\s\S]*?```/g, '')
    .replace(/`[^`]*`/g, '')
    .replace(/\]\([^)]*\)/g, ']');
  return prose.split('\n').map((text, at) => ({ at: `${relative(ROOT, file)}, line ${at + 1}`, text }));
}

describe('plain English', () => {
  it('finds an old word, and none where it is another', () => {
    const faults = faultsIn([
      { at: 'here', text: 'Put it on the shelf' },
      { at: 'here', text: 'Read at school grade 6' },
      { at: 'here', text: 'Choose a class' },
    ]);
    expect(faults.length).toBe(1);
  });

  it('is what the interface speaks', () => {
    const files = ['src/islands', 'src/ui', 'src/messages', 'src/pages'].flatMap((one) => filesUnder(one, /\.tsx?$/));
    expect(files.length).toBeGreaterThan(150);
    expect(faultsIn(files.flatMap(shownStrings))).toEqual([]);
  });

  it('is what the README and the documents speak', () => {
    const files = [join(ROOT, 'README.md'), join(ROOT, 'CONTRIBUTING.md'), ...filesUnder('docs', /\.md$/)];
    const rules = RULES.filter(({ screenOnly }) => !screenOnly);
    expect(faultsIn(files.flatMap(paragraphs), rules)).toEqual([]);
  });
});
