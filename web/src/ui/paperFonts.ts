import plain from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff2?url';
import bold from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff2?url';
import head from '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2?url';

async function asData(url: string): Promise<string> {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer());
  let text = '';
  // In pieces: a font is more than a call takes at once.
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return `data:font/woff2;base64,${btoa(text)}`;
}

/** The papers’ fonts as CSS that carries them, so that a file needs nothing beside it; nothing where they cannot be had. */
export async function paperFonts(): Promise<string> {
  const face = async (family: string, weight: string, url: string): Promise<string> =>
    `@font-face{font-family:'${family}';font-weight:${weight};src:url(${await asData(url)}) format('woff2')}`;
  try {
    return (
      await Promise.all([
        face('Atkinson Hyperlegible', '400', plain),
        face('Atkinson Hyperlegible', '700', bold),
        face('Bricolage Grotesque Variable', '200 800', head),
      ])
    ).join('');
  } catch {
    return '';
  }
}
