/** Colors and textures of the drawing: a palette of ours, chosen by flavor and by kind of formula. */

export type Texture = 'crumb' | 'sponge' | 'airy' | 'smooth' | 'set' | 'liquid' | 'crisp' | 'fruit'

export const FLAVORS: Record<string, string> = {
  rye: '#a5713d',
  barley: '#e8d6b3',
  malt: '#b98a4b',
  quince: '#d9693c',
  amber: '#8a3d12',
  'brown-butter': '#d9a65c',
  'milk-chocolate': '#7d4a2d',
  'dark-chocolate': '#472b20',
  'white-chocolate': '#f3e6c4',
  cream: '#f1e9d8',
  honey: '#cf9a2e',
  citrus: '#e3b93f',
  berry: '#7b3357',
  'red-fruit': '#b03a41',
  rhubarb: '#d98a8f',
  leaf: '#8fa96a',
  poppy: '#5a6272',
  nut: '#9a6b45',
  neutral: '#c9cbb9',
}

const TEXTURE_OF: Record<string, Texture> = {
  crumble: 'crumb',
  paste: 'crumb',
  sponge: 'sponge',
  mousse: 'airy',
  meringue: 'airy',
  cream: 'smooth',
  ganache: 'smooth',
  custard: 'smooth',
  chocolate: 'smooth',
  fruit: 'set',
  glaze: 'liquid',
  caramel: 'liquid',
  crisp: 'crisp',
  syrup: 'liquid',
  preparation: 'smooth',
}

export const KINDS = Object.keys(TEXTURE_OF)

export interface Look {
  color: string
  texture: Texture
}

/** How a formula looks in a drawing: by its flavor, else by what it is mostly made of. */
export function lookOf(formula?: { flavor: string; kind: string; color?: string }): Look {
  const flavor = formula?.flavor || formula?.color || ''
  return {
    color: FLAVORS[flavor] ?? (FLAVORS.neutral as string),
    texture: TEXTURE_OF[formula?.kind ?? ''] ?? 'smooth',
  }
}

/** Id of the pattern that paints a look; one a scale, since ids are the whole page's. */
export function patternId(look: Look, scale = 1): string {
  return `pattern-${look.texture}-${look.color.slice(1)}${scale === 1 ? '' : `-${scale * 100}`}`
}
