/** How a reading is drawn beside its window. */
import type { GaugeShown } from '../api/types'

export type Gauge = GaugeShown['gauge']

/** Places on a bar, in per cent of its width. */
export interface Bar {
  from: number
  to: number
  at: number
}

/** The window takes the middle half of the bar; what lies far outside stays at the end. */
export function barOf({ working, window }: Gauge): Bar | null {
  if (!working || !window) return null
  const least = window.least ?? 0
  const most = window.most ?? Math.max(2 * least, working.value)
  const span = most - least || 1
  const low = Math.max(0, least - span / 2)
  const high = most + span / 2
  const place = (value: number) => Math.min(100, Math.max(0, (100 * (value - low)) / (high - low)))
  return {
    from: window.least === null ? 0 : place(least),
    to: window.most === null ? 100 : place(most),
    at: place(working.value),
  }
}

/** The window in words: '0.7 to 2.2', 'at most 2'. */
export function windowWords({ window }: Gauge): string {
  if (!window) return ''
  if (window.least === null) return `at most ${window.most}`
  if (window.most === null) return `at least ${window.least}`
  return `${window.least} to ${window.most}`
}

/** Colors of what a line brings, by the group the server names. */
export const GROUP_COLORS: Record<string, string> = {
  water: '#8fb6c6',
  'milk fat': '#e6cf82',
  'cocoa butter': '#c9a04e',
  'other fat': '#b9b06a',
  'dry cocoa': '#4a2a1e',
  sugars: '#d9c8d6',
  starch: '#cbbfa6',
  protein: '#c08a7a',
}
