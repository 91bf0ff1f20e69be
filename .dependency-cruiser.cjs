/** The house rule: book <- core <- server and book <- core <- web; no cycles anywhere, types included. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'book-stands-alone',
      severity: 'error',
      from: { path: '^packages/book' },
      to: { path: '^(packages/core|apps)/' },
    },
    { name: 'core-below-apps', severity: 'error', from: { path: '^packages/core' }, to: { path: '^apps/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^apps/server' }, to: { path: '^apps/web' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^apps/web' }, to: { path: '^apps/server' } },
    {
      name: 'core-is-pure',
      comment: 'No framework and no I/O in core.',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'packages-by-their-face',
      comment: 'Other packages are reached by their index only.',
      severity: 'error',
      from: { path: '^(packages|apps)/([^/]+)/' },
      to: { path: '^packages/[^/]+/(src|dist)/', pathNot: ['^packages/$2/', 'index\\.(ts|js|d\\.ts)$'] },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.base.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['source', 'import', 'default'],
      extensions: ['.ts', '.tsx', '.js'],
    },
  },
};
