const transform = {
  '^.+\\.(ts|tsx)$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
        target: 'es2023',
      },
      module: { type: 'commonjs' },
    },
  ],
};

const ACCOUNTS = [
  'better-auth',
  '@better-auth',
  '@better-fetch',
  'better-call',
  '@noble',
  'jose',
  'kysely',
  'nanostores',
  'rou3',
  'defu',
  'set-cookie-parser',
];

const moduleNameMapper = {
  // The messages of zod in fifty languages take a tenth of a second to load, in each file of tests.
  '^\\.\\./locales/index\\.cjs$': '<rootDir>/node_modules/zod/v4/locales/en.cjs',
  '^@/(.*)$': '<rootDir>/$1',
  // Libraries whose entry is not CommonJS.
  '^(d3-[a-z-]+)$': '<rootDir>/node_modules/$1/dist/$1.js',
};

// A look at a global costs the sandbox some 600 ns; these are looked at millions of times.
const sandboxInjectedGlobals = ['Math', 'Number', 'Array', 'Object', 'Map', 'Set', 'Float32Array', 'Float64Array'];

/** @type {import('jest').Config} */
export default {
  // Also the core on which this runs: on two, half the time.
  maxWorkers: '100%',
  projects: [
    {
      displayName: 'core',
      testMatch: ['<rootDir>/{core,ui,db}/**/*.test.ts'],
      transform,
      sandboxInjectedGlobals,
      setupFiles: ['<rootDir>/bin/lib/shift-clock.cjs', '<rootDir>/jest.setup.ts'],
      moduleNameMapper,
    },
    {
      // Pages as the server draws them. Its libraries have their own Map; nuqs is not CommonJS.
      displayName: 'pages',
      testMatch: ['<rootDir>/ui/**/*.test.tsx'],
      transform: { ...transform, 'node_modules/nuqs/.+\\.js$': transform['^.+\\.(ts|tsx)$'] },
      transformIgnorePatterns: ['/node_modules/(?!nuqs/)'],
      setupFiles: ['<rootDir>/bin/lib/shift-clock.cjs', '<rootDir>/jest.setup.ts'],
      moduleNameMapper,
    },
    {
      displayName: 'server',
      testMatch: ['<rootDir>/{server,bin}/**/*.test.ts'],
      // What accounts are made with is not CommonJS.
      transform: { ...transform, '\\.m?js$': transform['^.+\\.(ts|tsx)$'] },
      transformIgnorePatterns: [`/node_modules/(?!(${ACCOUNTS.join('|')})/)`],
      sandboxInjectedGlobals: sandboxInjectedGlobals.filter((name) => name !== 'Set'), // asn1js has one of its own
      setupFiles: ['<rootDir>/bin/lib/shift-clock.cjs', '<rootDir>/jest.setup.ts'],
      moduleNameMapper,
    },
  ],
};
