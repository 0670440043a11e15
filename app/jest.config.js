const root = `${__dirname}/..`;

module.exports = {
  displayName: 'app',
  preset: 'jest-expo/web',
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  moduleNameMapper: {
    '^@pedastance/core/(.*)$': `${root}/core/$1/index.ts`,
    '^@pedastance/core$': `${root}/core/index.ts`,
    '^@pedastance/contract$': `${root}/contract/index.ts`,
    '^@pedastance/contract/(.*)$': `${root}/contract/$1.ts`,
    '\\.css$': `${__dirname}/test/empty.js`,
  },
  setupFiles: [`${root}/core/test/properties.ts`, 'fake-indexeddb/auto', `${__dirname}/test/browser.js`],
};
