/** The floors of docs/architecture.md: the lower one never imports the higher. */
const floor = (name, allowed) => ({
  name: `floor-${name}`,
  severity: 'error',
  comment: `src/${name} may import only ${allowed.join(', ') || 'itself'} of the floors.`,
  from: { path: `^src/${name}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(?:src|bin|stand-ins|e2e|bench)/', pathNot: [name, ...allowed].map((one) => `^src/${one}/`) },
});

module.exports = {
  forbidden: [
    floor('app', ['ui', 'server', 'core']),
    floor('ui', ['core']),
    floor('server', ['post', 'data', 'core']),
    floor('post', ['core']),
    floor('data', ['core']),
    floor('core', []),
    {
      name: 'bin-imports-server-and-core',
      severity: 'error',
      from: { path: '^bin/', pathNot: '\\.test\\.ts$|/test/' },
      to: { path: '^(?:src|stand-ins|e2e|bench)/', pathNot: '^src/(?:server|core)/' },
    },
    {
      name: 'stand-ins-stand-alone',
      severity: 'error',
      from: { path: '^stand-ins/' },
      to: { path: '^(?:src|bin|e2e|bench)/' },
    },
    {
      name: 'nothing-imports-stand-ins',
      severity: 'error',
      from: { path: '^(?:src|bin)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^stand-ins/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'No Node, no React, no database in the core.',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-has-no-interface',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: 'node_modules/(?:react|next|sequelize|pg|nodemailer)(?:/|$)' },
    },
    // Types may refer to each other; code may not go round in circles.
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
