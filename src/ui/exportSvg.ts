import { saveFile } from './saveFile.ts';

/** Properties that a drawing's look hangs on; they come from style sheets and have to go into the file. */
const looks = [
  'fill',
  'fill-opacity',
  'fill-rule',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'stroke-linecap',
  'opacity',
  'paint-order',
  'font-family',
  'font-size',
  'font-weight',
  'letter-spacing',
  'word-spacing',
  'text-anchor',
  'stop-color',
] as const;

/** A drawing as a file that stands alone: every look written into its elements. */
export function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const from = [svg, ...svg.querySelectorAll<SVGElement>('*')];
  const to = [copy, ...copy.querySelectorAll<SVGElement>('*')];
  from.forEach((el, i) => {
    const style = getComputedStyle(el);
    for (const look of looks) {
      const value = style.getPropertyValue(look);
      // A pattern keeps its reference; the computed value would carry the page's address.
      if (value && !(value.includes('url(') && el.hasAttribute(look)))
        to[i]!.setAttribute(look, value.replaceAll(/url\("[^"#]*#/gu, 'url("#'));
    }
    to[i]!.removeAttribute('class');
  });
  const { width, height } = svg.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  return new XMLSerializer().serializeToString(copy);
}

export const saveSvg = (svg: SVGSVGElement, name: string): void =>
  saveFile(new Blob([svgText(svg)], { type: 'image/svg+xml' }), `${name}.svg`);

/** The same as a picture, at twice the drawing's size, on the page's own paper. */
export async function savePng(svg: SVGSVGElement, name: string): Promise<void> {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([svgText(svg)], { type: 'image/svg+xml' }));
  await image.decode();
  const { width, height } = svg.viewBox.baseVal;
  const canvas = document.createElement('canvas');
  canvas.width = 2 * width;
  canvas.height = 2 * height;
  const draw = canvas.getContext('2d')!;
  draw.fillStyle = getComputedStyle(document.documentElement).getPropertyValue('--paper');
  draw.fillRect(0, 0, canvas.width, canvas.height);
  draw.drawImage(image, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(image.src);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (blob) saveFile(blob, `${name}.png`);
}
