/** Where a value stands on a dial: every band is drawn equally wide, straight inside. */
import type { DialShape } from '../../api/types'

type Bands = DialShape['bands']
type Stepped = Pick<DialShape, 'bands' | 'step'>

const clamp = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value))

/** Place on the dial in per cent of its width; off the dial at its end. */
export function placeOf(bands: Bands, value: number): number {
  const last = bands.length - 1
  const at = bands.findIndex((band) => value < band.most)
  const i = at < 0 ? last : at
  const band = bands[i]
  if (!band) return 0
  const inside = clamp((value - band.least) / (band.most - band.least), 0, 1)
  return (100 * (i + inside)) / bands.length
}

/** The value at a place in per cent of the width, on a step a hand can mean. */
export function valueAt({ bands, step }: Stepped, percent: number): number {
  const along = (clamp(percent, 0, 100) / 100) * bands.length
  const i = Math.min(bands.length - 1, Math.floor(along))
  const band = bands[i]
  if (!band) return 0
  return onStep({ bands, step }, band.least + (along - i) * (band.most - band.least))
}

/** A value on the step of its dial, within it. */
export function onStep({ bands, step }: Stepped, value: number): number {
  const first = bands[0]
  const last = bands[bands.length - 1]
  if (!first || !last) return value
  const rounded = Math.round(value / step) * step
  return Number(clamp(rounded, first.least, last.most).toFixed(6))
}
