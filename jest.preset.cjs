// Shared by every package: TypeScript through swc to CommonJS, workspaces read from source.
module.exports = {
  transform: {
    '\\.[mc]?[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', decorators: true, tsx: true },
          transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(@nestjs|load-esm|file-type|@standard-schema|uuid|@tanstack/(react-table|table-core|store|react-store))/)',
  ],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testEnvironmentOptions: { customExportConditions: ['source', 'node', 'require', 'default'] },
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  maxWorkers: '100%',
  // A test file's own globals are slow to reach; the rules reach for these most.
  sandboxInjectedGlobals: ['Array', 'Date', 'Intl', 'JSON', 'Map', 'Math', 'Object', 'RegExp', 'Set'],
};
