/** Lists circles of imports, types included, of the files below `src`; ends with 1 where there is one. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import ts from 'typescript';

/** Files that a file imports, of those given; `@/` is `src/`. */
function importsOf(file, files) {
  const { importedFiles } = ts.preProcessFile(readFileSync(file, 'utf8'), true, true);
  return importedFiles.flatMap(({ fileName }) => {
    if (!/^(\.|@\/)/.test(fileName)) return [];
    const target = fileName.startsWith('@/')
      ? path.join('src', fileName.slice(2))
      : path.join(path.dirname(file), fileName);
    const found = ['.ts', '.tsx', '/index.ts', '/index.tsx'].find((end) => files.has(target + end));
    return found === undefined ? [] : [target + found];
  });
}

/**
 * Circles of a graph, each with its names in the order of the arrows: the strongly connected components with more than
 * one name. Source: R. E. Tarjan, SIAM J. Comput. 1 (1972) 146.
 */
export function findCircles(arrows) {
  const seen = new Map();
  const stack = [];
  const circles = [];
  const visit = (name) => {
    const own = { order: seen.size, low: seen.size, isOpen: true };
    seen.set(name, own);
    stack.push(name);
    for (const next of arrows.get(name) ?? []) {
      const other = seen.get(next) ?? visit(next);
      if (other.isOpen) own.low = Math.min(own.low, other.low);
    }
    if (own.low === own.order) {
      const circle = stack.splice(stack.indexOf(name));
      for (const each of circle) seen.get(each).isOpen = false;
      if (circle.length > 1) circles.push(circle);
    }
    return own;
  };
  for (const name of arrows.keys()) if (!seen.has(name)) visit(name);
  return circles;
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  const files = new Set(
    readdirSync('src', { recursive: true })
      .map((file) => path.join('src', file))
      .filter((file) => /\.tsx?$/.test(file) && !file.includes('/tests/')),
  );
  const circles = findCircles(new Map([...files].map((file) => [file, importsOf(file, files)])));
  for (const circle of circles) console.error(`These files import each other: ${circle.join(', ')}`);
  process.exitCode = circles.length > 0 ? 1 : 0;
}
