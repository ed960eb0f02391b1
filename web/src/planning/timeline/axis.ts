/** Minutes of a plan as pixels of its board: time runs down, nights are folded to a band. */
import type { Board } from '../../api/types'

export const FOLDED_PX = 38
/** Pixels an hour: from both days on the screen to one hour on it. */
export const ZOOMS = [24, 34, 56, 96, 180, 420] as const

type Stretch = Board['stretches'][number]

export interface Laid extends Stretch {
  top: number
  height: number
}

export function layOut(stretches: readonly Stretch[], hourPx: number): Laid[] {
  let top = 0
  return stretches.map((one) => {
    const long = ((one.until_min - one.since_min) / 60) * hourPx
    const laid = { ...one, top, height: one.folded ? FOLDED_PX : long }
    top += laid.height
    return laid
  })
}

export const heightOf = (laid: readonly Laid[]) => laid.reduce((sum, one) => sum + one.height, 0)

/** Where a minute lies; before the first and after the last at the ends. */
export function yOf(laid: readonly Laid[], minute: number): number {
  for (const one of laid) {
    if (minute <= one.until_min) {
      const share = (minute - one.since_min) / (one.until_min - one.since_min)
      return one.top + Math.max(0, share) * one.height
    }
  }
  return heightOf(laid)
}

/** Which minute lies there, on the five minutes a kitchen plans in. */
export function minuteAt(laid: readonly Laid[], y: number): number {
  const one = laid.find((stretch) => y <= stretch.top + stretch.height) ?? laid[laid.length - 1]
  if (!one) return 0
  const share = Math.min(1, Math.max(0, (y - one.top) / one.height))
  return Math.round((one.since_min + share * (one.until_min - one.since_min)) / 5) * 5
}

/** The hour on the wall at a minute, from the hours the board tells. */
export function wallAt(ticks: Board['ticks'], minute: number): string {
  const before = ticks.filter((one) => one.at_min <= minute)
  const tick = before[before.length - 1] ?? ticks[0]
  if (!tick) return ''
  const [hours = 0, minutes = 0] = tick.says.split(':').map(Number)
  const all = (((hours * 60 + minutes + minute - tick.at_min) % 1440) + 1440) % 1440
  const two = (value: number) => String(value).padStart(2, '0')
  return `${two(Math.floor(all / 60))}:${two(all % 60)}`
}

/** The moment of a minute, as it goes over the wire. */
export const momentOf = (origin: string, minute: number) =>
  new Date(new Date(origin).getTime() + minute * 60_000).toISOString()

/** What is read on a color: dark on light, light on dark. */
export function inkOn(color: string): string {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => parseInt(color.slice(at, at + 2), 16) / 255)
  const linear = [r, g, b].map((one) =>
    one <= 0.03928 ? one / 12.92 : ((one + 0.055) / 1.055) ** 2.4,
  )
  const light = 0.2126 * (linear[0] ?? 0) + 0.7152 * (linear[1] ?? 0) + 0.0722 * (linear[2] ?? 0)
  return light > 0.179 ? '#000000' : '#ffffff'
}

/** What lies in each lane. */
export function byLane<One extends { lane: string }>(every: readonly One[]): Map<string, One[]> {
  const found = new Map<string, One[]>()
  for (const one of every) found.set(one.lane, [...(found.get(one.lane) ?? []), one])
  return found
}
