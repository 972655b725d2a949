import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { parse } from '@babel/parser';

// Every public function of the core has a docstring with an example, which core/test/examples.test.ts runs: public is what is
// exported and used by another folder.

const files = execFileSync('git', ['ls-files', '*.ts', '*.tsx'], { encoding: 'utf8' })
  .split('\n')
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$|\/test\/|\.d\.ts$/.test(f));
const bodies = new Map(
  files.map((f) => {
    const plugins = f.endsWith('x') ? (['typescript', 'jsx'] as const) : (['typescript'] as const);
    return [f, parse(readFileSync(f, 'utf8'), { sourceType: 'module', plugins: [...plugins] }).program.body];
  }),
);

/** `file#name` of everything that a file of another folder imports. */
const used = new Set<string>();
for (const [file, body] of bodies)
  for (const node of body) {
    if (node.type !== 'ImportDeclaration') continue;
    const from = node.source.value;
    const target = from.startsWith('@/') ? from.slice(2) : path.join(path.dirname(file), from);
    if (path.dirname(target) === path.dirname(file)) continue;
    for (const s of node.specifiers)
      if (s.type === 'ImportSpecifier' && s.imported.type === 'Identifier') used.add(`${target}.ts#${s.imported.name}`);
  }

const missing: string[] = [];
let count = 0;
for (const [file, body] of bodies) {
  if (!file.startsWith('core/')) continue;
  for (const node of body) {
    if (node.type !== 'ExportNamedDeclaration') continue;
    const { declaration } = node;
    const names =
      declaration?.type === 'FunctionDeclaration'
        ? [declaration.id?.name]
        : declaration?.type === 'VariableDeclaration'
          ? declaration.declarations.flatMap((d) =>
              d.init?.type === 'ArrowFunctionExpression' && d.id.type === 'Identifier' ? [d.id.name] : [],
            )
          : [];
    for (const name of names.filter((n) => used.has(`${file}#${n}`))) {
      count++;
      const comment = node.leadingComments?.at(-1);
      if (comment?.type !== 'CommentBlock' || !/^\*[\s\S]*@example .+ \/\/ /.test(comment.value))
        missing.push(`${file}:${node.loc?.start.line} ${name}`);
    }
  }
}
if (missing.length > 0)
  console.error(
    `Public functions of the core without a docstring, or without an example in it:\n${missing.join('\n')}`,
  );
else console.log(`${count} public functions of the core, each with a docstring and an example`);
process.exit(missing.length > 0 ? 1 : 0);
