import { execFileSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import path from 'node:path';
import { buildSync } from 'esbuild';

// Builds core/dist: JavaScript modules and their types, for use without the app.

const core = path.join(import.meta.dirname, '../../core');
const entryPoints = execFileSync('git', ['ls-files', '*.ts'], { cwd: core, encoding: 'utf8' })
  .split('\n')
  .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|^test\/|\.d\.ts$/.test(f));
rmSync(path.join(core, 'dist'), { recursive: true, force: true });
buildSync({
  absWorkingDir: core,
  entryPoints,
  outdir: 'dist',
  outbase: '.',
  bundle: true,
  splitting: true,
  packages: 'external',
  format: 'esm',
  platform: 'neutral',
  target: 'es2023',
  chunkNames: 'chunks/[name]-[hash]',
  logLevel: 'warning',
});
const tsc = path.join(core, '../node_modules/.bin/tsc');
execFileSync(tsc, ['-p', '.', '--noEmit', 'false', '--declaration', '--emitDeclarationOnly', '--outDir', 'dist'], {
  cwd: core,
  stdio: 'inherit',
});
