import type { Layout, Scene } from '../table'
import type { Mark, Tone } from './marks'
import { tableMarks } from './table'

/** Colours on white paper, by daylight. */
export const colours: Record<Tone, string> = {
  none: 'none',
  ink: '#1c2b3a',
  soft: '#857c69',
  sheet: '#fffcf5',
  water: '#d8e6e4',
  hazard: '#faedc8',
  wild: '#e3ebe6',
  veil: '#ddd3be',
  accent: '#2a6876',
  first: '#7fb7be',
  second: '#e8b04a',
  third: '#c9849b',
  'player-1': '#2a6876',
  'player-2': '#d8923a',
  'player-3': '#8d6ca8',
  'player-4': '#4f8f5b',
  'player-5': '#b9566a',
  'player-6': '#6c7a86',
}

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** How much of what is under it a tone lets through: the number under a counter can be read. */
export const opacityOf = (tone: Tone): number => (tone === 'veil' || tone.startsWith('player') ? 0.55 : 1)

const fillOf = (tone: Tone) =>
  `fill="${colours[tone]}"${opacityOf(tone) < 1 ? ` fill-opacity="${opacityOf(tone)}"` : ''}`

/** Fonts by what is written with them; on paper everything is set in the font of the numerals. */
type Fonts = { numerals: string; words: string }
const onScreen: Fonts = { numerals: 'Andika', words: 'Figtree' }
const onPaper: Fonts = { numerals: 'Andika', words: 'Andika' }

function markText(mark: Mark, fonts: Fonts): string {
  switch (mark.op) {
    case 'path':
      return `<path d="${mark.d}" ${fillOf(mark.fill)} stroke="${colours[mark.stroke]}" stroke-width="${mark.line}"${mark.dashed ? ` stroke-dasharray="0 ${mark.line * 4}"` : ''} stroke-linecap="round"/>`
    case 'circle':
      return `<circle cx="${mark.x}" cy="${mark.y}" r="${mark.r}" ${fillOf(mark.fill)} stroke="${colours[mark.stroke]}" stroke-width="${mark.line}"/>`
    case 'rect':
      return `<rect x="${mark.x}" y="${mark.y}" width="${mark.width}" height="${mark.height}" rx="${mark.round}" ${fillOf(mark.fill)} stroke="${colours[mark.stroke]}" stroke-width="${mark.line}"/>`
    case 'text':
      return `<text x="${mark.x}" y="${mark.y}" font-size="${mark.size}" text-anchor="${mark.starts ? 'start' : 'middle'}" font-family="${fonts[mark.font]}, sans-serif"${mark.heavy ? ' font-weight="700"' : ''} fill="${colours[mark.fill]}">${escaped(mark.text)}</text>`
    case 'group':
      return `<g transform="translate(${mark.x} ${mark.y})">${mark.marks.map((one) => markText(one, fonts)).join('')}</g>`
  }
}

/** A table as a picture by itself, to be shown where no page styles it. */
export function svgOf(layout: Layout, scene: Scene, title: string): string {
  const { width, height } = layout
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" role="img"><title>${escaped(title)}</title><rect width="${width}" height="${height}" rx="6" fill="#f6f0e2"/>${tableMarks(
    layout,
    scene,
  )
    .map((mark) => markText(mark, onScreen))
    .join('')}</svg>`
}

/** A sheet of paper as a picture, true to size: its marks in millimetres on white. */
export function svgOfPage(
  { width, height, marks }: { width: number; height: number; marks: readonly Mark[] },
  title: string,
): string {
  const drawn = marks.map((mark) => markText(mark, onPaper)).join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" class="sheet-page" role="img"><title>${escaped(title)}</title><rect width="${width}" height="${height}" fill="#fff"/>${drawn}</svg>`
}
