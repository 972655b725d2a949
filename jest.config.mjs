const transform = {
  '^.+\\.(ts|tsx)$': [
    '@swc/jest',
    { jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2023' }, module: { type: 'commonjs' } },
  ],
};

/** @type {import('jest').Config} */
export default {
  projects: [
    {
      displayName: 'core',
      testMatch: ['<rootDir>/{core,ui,db}/**/*.test.ts'],
      transform,
      setupFiles: ['<rootDir>/bin/lib/shift-clock.cjs', '<rootDir>/jest.setup.ts'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
    },
    {
      displayName: 'server',
      testMatch: ['<rootDir>/{server,bin}/**/*.test.ts'],
      transform,
      setupFiles: ['<rootDir>/bin/lib/shift-clock.cjs', '<rootDir>/jest.setup.ts'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
    },
  ],
};
