// dependency-cruiser 17 parses with swc but never tells it that a .tsx file holds JSX. Preloaded, this does.
const swc = require('@swc/core');

const parse = swc.parseFileSync.bind(swc);
swc.parseFileSync = (file, options) => parse(file, { ...options, tsx: file.endsWith('.tsx') });
