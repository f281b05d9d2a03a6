import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, test } from 'vitest';

const SOURCES = join(__dirname, '..');

function files(ending: string): string[] {
  return readdirSync(SOURCES, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith(ending) && !file.includes('.test.'))
    .map((file) => join(SOURCES, file));
}

const catalogue = Object.assign(
  {},
  ...files('words.en.json')
    .concat(files('words.view.en.json'))
    .map((file) => JSON.parse(readFileSync(file, 'utf8')) as object),
) as Record<string, unknown>;

function has(key: string): boolean {
  const found = key
    .split('.')
    .reduce<unknown>((at, name) => (at as Record<string, unknown> | undefined)?.[name], catalogue);
  return found !== undefined || (!key.endsWith('_other') && has(`${key}_other`));
}

/** Attributes whose values people read or hear. */
const READ = ['aria-label', 'aria-description', 'title', 'placeholder', 'alt'];

/** What a file shows that is not from the catalogue, and what it asks of it that is not there. */
function faults(file: string): string[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: string[] = [];
  const visit = (node: ts.Node) => {
    if (ts.isJsxText(node) && /\p{L}/u.test(node.text)) {
      found.push(`${file}: the words “${node.text.trim()}” stand outside the catalogue`);
    }
    if (
      ts.isJsxAttribute(node) &&
      READ.includes(node.name.getText()) &&
      node.initializer &&
      ts.isStringLiteral(node.initializer)
    ) {
      found.push(`${file}: ${node.getText()} stands outside the catalogue`);
    }
    if (ts.isCallExpression(node) && ['t', 'i18next.t'].includes(node.expression.getText())) {
      const key = node.arguments[0];
      if (key && ts.isStringLiteral(key) && !has(key.text)) {
        found.push(`${file}: the catalogue has no ${key.text}`);
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

test('every word the pages show is in the catalogue', () => {
  const sources = [...files('.tsx'), ...files('.ts')].filter((file) => !file.endsWith('.d.ts'));
  expect(sources.flatMap(faults)).toEqual([]);
});

test('no feature uses the words of another by the same name', () => {
  const keys = files('.en.json').flatMap((file) =>
    Object.keys(JSON.parse(readFileSync(file, 'utf8')) as object),
  );
  expect(new Set(keys).size).toBe(keys.length);
});
