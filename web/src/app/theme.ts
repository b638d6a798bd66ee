import { createTheme, type MantineColorsTuple } from '@mantine/core';

const teal: MantineColorsTuple = [
  '#e6f3f2',
  '#cfe6e4',
  '#a3cfcc',
  '#74b8b3',
  '#4fa49f',
  '#37958f',
  '#2a7f7b',
  '#216f6b',
  '#165c59',
  '#0a4845',
];
const marmalade: MantineColorsTuple = [
  '#fdf2e4',
  '#f9e2c8',
  '#f1c592',
  '#eaa75a',
  '#e4902f',
  '#d9822b',
  '#b86713',
  '#93510c',
  '#703d08',
  '#4f2a03',
];

export const theme = createTheme({
  fontFamily: "'Atkinson Hyperlegible', system-ui, sans-serif",
  fontFamilyMonospace: "'Atkinson Hyperlegible', ui-monospace, monospace",
  headings: { fontFamily: "'Bricolage Grotesque Variable', 'Atkinson Hyperlegible', sans-serif", fontWeight: '700' },
  colors: { teal, marmalade },
  primaryColor: 'teal',
  primaryShade: { light: 7, dark: 7 },
  defaultRadius: 4,
  cursorType: 'pointer',
  respectReducedMotion: true,
});
