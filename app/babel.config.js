module.exports = (api) => {
  const testing = api.env('test');
  return {
    presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }], 'nativewind/babel'],
    // Jest runs scripts, which load nothing later by themselves.
    plugins: testing ? ['@babel/plugin-transform-dynamic-import'] : [],
  };
};
