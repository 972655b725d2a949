import { createHash } from 'node:crypto';
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

// Made once, with the build of the program whose files it lists.
export const dynamic = 'force-static';

const STATIC = path.join(process.cwd(), process.env.COOL_DRAM_DIST ?? '.next', 'static');

export async function GET(): Promise<Response> {
  const files = readdirSync(STATIC, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => ({
      url: `/_next/static/${path.relative(STATIC, path.join(entry.parentPath, entry.name))}`,
      revision: null, // a file of another content has another name
    }))
    .toSorted((a, b) => (a.url < b.url ? -1 : 1));
  const id = createHash('sha256').update(JSON.stringify(files)).digest('hex').slice(0, 12);
  const { outputFiles } = await build({
    entryPoints: ['ui/offline/service-worker.ts'],
    bundle: true,
    write: false,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { 'self.__BUILD': JSON.stringify({ id, files }), 'process.env.NODE_ENV': '"production"' },
    tsconfig: 'tsconfig.json',
  });
  return new Response(outputFiles[0]?.text, { headers: { 'content-type': 'text/javascript; charset=utf-8' } });
}
