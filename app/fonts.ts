import localFont from 'next/font/local';

// Fetched with the page and used only if they are there at once: text that is drawn is not drawn anew in another width.
export const latin = localFont({
  src: '../node_modules/@fontsource-variable/archivo/files/archivo-latin-standard-normal.woff2',
  variable: '--font-latin',
  weight: '100 900',
  display: 'optional',
  declarations: [{ prop: 'font-stretch', value: '62% 125%' }],
});

/** Letters of other languages that use the Latin alphabet; fetched where a page has some. */
export const otherLatin = localFont({
  src: '../node_modules/@fontsource-variable/archivo/files/archivo-latin-ext-standard-normal.woff2',
  variable: '--font-other-latin',
  weight: '100 900',
  display: 'optional',
  preload: false,
  adjustFontFallback: false,
  declarations: [
    { prop: 'font-stretch', value: '62% 125%' },
    {
      prop: 'unicode-range',
      value:
        'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF',
    },
  ],
});
