import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

/* What the documents name is there: files and folders, commands, levels of a heading's links. */

const root = new URL('../../', import.meta.url);
const read = (path: string): string => readFileSync(new URL(path, root), 'utf8');
const files = execFileSync('git', ['ls-files', '-c', '-o', '--exclude-standard'], { cwd: root, encoding: 'utf8' })
  .trim()
  .split('\n');
const documents = files.filter((file) => /^(docs\/[^/]+|[^/]+)\.md$/.test(file));
/** Made by the build or at run time. */
const MADE = /^(dist|\.calm|node_modules)\//;

/** Whether a file of the project, or a folder of it, ends so. */
function isThere(path: string): boolean {
  const wanted = path.replace(/\/$/, '');
  return files.some((file) => `/${file}/`.includes(`/${wanted}/`));
}

it.each(documents)('%s names files and folders that are there', (document) => {
  const named = [...read(document).matchAll(/`((?:[\w.@-]+\/)+[\w.@-]*\.(?:ts|tsx|mjs|cjs|json|sql|sh|svg|md)|(?:src|tests|docs|bench|scripts)\/[\w./-]+)`/g)]; // prettier-ignore
  const missing = named.map(([, path = '']) => path).filter((path) => !MADE.test(path) && !isThere(path));
  expect(missing).toEqual([]);
});

it.each(documents)('%s links to files that are there', (document) => {
  const links = [...read(document).matchAll(/\]\((?!https?:|#)([^)#\s]+)/g)].map(([, to = '']) => to);
  const folder = document.includes('/') ? `${document.slice(0, document.lastIndexOf('/'))}/` : '';
  const missing = links.filter((to) => !isThere(new URL(to, `file:///${folder}`).pathname.slice(1)));
  expect(missing).toEqual([]);
});

it.each(documents)('%s tells commands that are there', (document) => {
  const { scripts } = JSON.parse(read('package.json')) as { readonly scripts: Readonly<Record<string, string>> };
  const told = [...read(document).matchAll(/npm run ([\w:-]+)/g)].map(([, name = '']) => name);
  expect(told.filter((name) => !(name in scripts))).toEqual([]);
});
