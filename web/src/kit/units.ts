/** How a person reads figures: °C or °F, mm or inches. Kept in °C and mm. */
import { shallowRef } from 'vue'

import { house } from '../api/house'
import type { Preferences } from '../api/types'
import { figure } from './format'

export const preferences = shallowRef<Preferences>({
  measures: 'metric',
  fahrenheit: false,
  inches: false,
})

interface Scale {
  unit: string
  shown: (kept: number) => number
  kept: (shown: number) => number
}

/** Whether a person reads a unit otherwise than it is kept. */
const OTHERWISE: Record<string, (own: Preferences) => boolean> = {
  '°F': (own) => own.fahrenheit,
  in: (own) => own.inches,
}

/** The scale a unit is read in by this person; a unit nobody converts is its own. */
export function scaleOf(unit = ''): Scale {
  const other = house.value.scales.find((one) => one.kept === unit)
  if (!other || !OTHERWISE[other.shown]?.(preferences.value)) {
    return { unit, shown: (value) => value, kept: (value) => value }
  }
  const { shown, times, plus } = other
  return {
    unit: shown,
    shown: (value) => value * times + plus,
    kept: (value) => (value - plus) / times,
  }
}

/** An amount as it is said in passing: a strip in meters, a volume whole. */
export function inShort({ value, unit }: { value: number; unit: string }) {
  const { shown, times, decimals } = house.value.short_scales.find((one) => one.kept === unit) ?? {
    shown: unit,
    times: 1,
    decimals: 0,
  }
  return { text: figure(value * times, decimals), unit: shown }
}
