/** Colours are named for what they mean on the page; each has a paper and a dusk value in global.css. */
const colour = (name) => `rgb(var(--${name}) / <alpha-value>)`;

module.exports = {
  content: ['./app/**/*.tsx', './features/**/*.tsx', './cards/**/*.tsx', './ui/**/*.tsx', './plan/**/*.tsx'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    extend: {
      colors: Object.fromEntries(
        [
          'paper',
          'sheet',
          'ink',
          'pencil',
          'grid',
          'lagoon',
          'on-lagoon',
          'rust',
          'straw',
          'on-straw',
          'moss',
          'desk',
          'desk-raised',
          'on-desk',
          'on-desk-quiet',
        ].map((name) => [name, colour(name)]),
      ),
      fontFamily: {
        heading: ['Bricolage Grotesque Variable', 'sans-serif'],
        text: ['Atkinson Hyperlegible Next', 'sans-serif'],
      },
    },
  },
};
