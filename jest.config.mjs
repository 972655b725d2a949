const transform = {
  '^.+\\.(ts|tsx)$': [
    '@swc/jest',
    { jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2023' }, module: { type: 'commonjs' } },
  ],
};

// A look at a global costs the sandbox some 600 ns; these are looked at millions of times.
const sandboxInjectedGlobals = ['Math', 'Number', 'Array', 'Object', 'Map', 'Set', 'Float32Array', 'Float64Array'];

/** @type {import('jest').Config} */
export default {
  projects: [
    {
      displayName: 'core',
      testMatch: ['<rootDir>/{core,ui,db}/**/*.test.ts'],
      transform,
      sandboxInjectedGlobals,
      setupFiles: ['<rootDir>/bin/lib/shift-clock.cjs', '<rootDir>/jest.setup.ts'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
    },
    {
      displayName: 'server',
      testMatch: ['<rootDir>/{server,bin}/**/*.test.ts'],
      transform,
      sandboxInjectedGlobals,
      setupFiles: ['<rootDir>/bin/lib/shift-clock.cjs', '<rootDir>/jest.setup.ts'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
    },
  ],
};
