// Names of our own for the few colours and faces; everything else is set in src/app.css.
const colours = ['paper', 'sheet', 'ink', 'soft', 'rule', 'steel', 'rust', 'marking', 'good'];

module.exports = {
  content: ['../src/main/resources/templates/**/*.html'],
  theme: {
    extend: {
      colors: Object.fromEntries(colours.map((name) => [name, `var(--${name})`])),
      fontFamily: { sans: 'var(--font-sans)', name: 'var(--font-name)', mono: 'var(--font-mono)' },
    },
  },
};
