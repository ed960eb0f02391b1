/** Colors and textures of the drawing: a palette of ours, chosen by flavor; the texture by kind of formula. */

import { house } from '../api/house'

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

export interface Look {
  color: string
  texture: Texture
}

/** How its kind is drawn; what has none is smooth. */
const textureOf = (kind?: string): Texture =>
  (house.value.formulas.kinds.find((one) => one.kind === kind)?.texture ?? 'smooth') as Texture

/** How a formula looks in a drawing: by its flavor, else by what it is mostly made of. */
export function lookOf(formula?: { flavor: string; kind: string; color?: string }): Look {
  const flavor = formula?.flavor || formula?.color || ''
  return {
    color: FLAVORS[flavor] ?? (FLAVORS.neutral as string),
    texture: textureOf(formula?.kind),
  }
}

/** Id of the pattern that paints a look; one a scale, since ids are the whole page's. */
export function patternId(look: Look, scale = 1): string {
  return `pattern-${look.texture}-${look.color.slice(1)}${scale === 1 ? '' : `-${scale * 100}`}`
}
