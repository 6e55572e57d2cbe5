import localFont from 'next/font/local';

// Andika for words and sounds; Noto Sans for the rest. Andika's Latin file has no IPA, and no file of it has θ:
// the extended file and a small Greek one stand behind it in the stack.
const andika = localFont({
  src: [
    { path: '../../node_modules/@fontsource/andika/files/andika-latin-400-normal.woff2', weight: '400' },
    { path: '../../node_modules/@fontsource/andika/files/andika-latin-700-normal.woff2', weight: '700' },
  ],
  variable: '--font-andika-latin',
  display: 'swap',
});
const andikaExtended = localFont({
  src: [
    { path: '../../node_modules/@fontsource/andika/files/andika-latin-ext-400-normal.woff2', weight: '400' },
    { path: '../../node_modules/@fontsource/andika/files/andika-latin-ext-700-normal.woff2', weight: '700' },
  ],
  variable: '--font-andika-ipa',
  display: 'swap',
  preload: false,
});
const greek = localFont({
  src: [{ path: '../../node_modules/@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff2', weight: '400' }],
  variable: '--font-theta',
  display: 'swap',
  preload: false,
});
const noto = localFont({
  src: [
    { path: '../../node_modules/@fontsource/noto-sans/files/noto-sans-latin-400-normal.woff2', weight: '400' },
    { path: '../../node_modules/@fontsource/noto-sans/files/noto-sans-latin-600-normal.woff2', weight: '600' },
  ],
  variable: '--font-noto',
  display: 'swap',
});

export const fontVariables = [andika, andikaExtended, greek, noto].map((font) => font.variable).join(' ');
