const plain = (room, more = {}) => ({
  displayName: room,
  rootDir: `${__dirname}/${room}`,
  testEnvironment: 'node',
  // A test's own context looks globals up slowly: those that computations ask for in every step are handed in.
  sandboxInjectedGlobals: ['Math', 'Number', 'Array'],
  testMatch: ['**/*.test.ts'],
  setupFiles: [`${__dirname}/core/test/properties.ts`],
  transform: {
    '\\.[jt]s$': [
      'babel-jest',
      {
        configFile: false,
        presets: [['@babel/preset-env', { targets: { node: 'current' } }], '@babel/preset-typescript'],
      },
    ],
  },
  moduleNameMapper: {
    '^@pedastance/core/(.*)$': `${__dirname}/core/$1/index.ts`,
    '^@pedastance/core$': `${__dirname}/core/index.ts`,
    '^@pedastance/contract$': `${__dirname}/contract/index.ts`,
    '^@pedastance/contract/(.*)$': `${__dirname}/contract/$1.ts`,
  },
  ...more,
});

module.exports = {
  projects: [
    plain('core'),
    plain('contract'),
    plain('card'),
    plain('server', { setupFilesAfterEnv: [`${__dirname}/server/test/patience.ts`] }),
    '<rootDir>/app',
  ],
};
