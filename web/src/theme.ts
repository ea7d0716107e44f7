import { createTheme, type CSSVariablesResolver, type MantineColorsTuple } from '@mantine/core';

const chalk: MantineColorsTuple = [
  '#eaf1fc',
  '#d0dff6',
  '#a3c0ef',
  '#7fa9ea',
  '#5e92e2',
  '#3f7bd6',
  '#2a66c2',
  '#1d54a8',
  '#17468e',
  '#103570',
];

const slate: MantineColorsTuple = [
  '#eef2f3',
  '#d9e0e3',
  '#b7c3c8',
  '#93a4ab',
  '#73878f',
  '#566a73',
  '#43555d',
  '#34444b',
  '#25343b',
  '#172228',
];

/** Dark surfaces are wet slate, not neutral grey. */
const dark: MantineColorsTuple = [
  '#e9e6de',
  '#c3c9c9',
  '#a9b6bb',
  '#7d8b91',
  '#4a5960',
  '#2b383e',
  '#1d272c',
  '#182125',
  '#141b1f',
  '#0d1316',
];

export const theme = createTheme({
  fontFamily: "'Archivo Variable', sans-serif",
  headings: { fontFamily: "'Archivo Variable', sans-serif", fontWeight: '650' },
  primaryColor: 'chalk',
  primaryShade: { light: 7, dark: 6 }, // both carry white text at AA
  autoContrast: true,
  defaultRadius: 3,
  colors: { chalk, slate, dark },
});

/** Mantine's surfaces take the site's palette; its dimmed greys are darkened to meet AA. */
export const cssVariables: CSSVariablesResolver = () => ({
  variables: {},
  light: {
    '--mantine-color-body': '#f4f2ed',
    '--mantine-color-text': '#1d282e',
    '--mantine-color-dimmed': '#4d5c63',
    '--mantine-color-placeholder': '#5f6d73',
    '--mantine-color-error': '#a8330d',
    '--mantine-color-default': '#fdfcfa',
    '--mantine-color-default-border': '#a9a598',
  },
  dark: {
    '--mantine-color-body': '#141b1f',
    '--mantine-color-text': '#e9e6de',
    '--mantine-color-dimmed': '#a9b6bb',
    '--mantine-color-placeholder': '#93a1a7',
    '--mantine-color-error': '#ff9d6e',
    '--mantine-color-default': '#1d272c',
    '--mantine-color-default-border': '#4a5960',
  },
});
