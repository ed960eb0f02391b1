/** How a person reads figures: °C or °F, mm or inches. Kept in °C and mm; exact by definition. */
import { shallowRef } from 'vue'

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

const FAHRENHEIT: Scale = {
  unit: '°F',
  shown: (celsius) => celsius * 1.8 + 32,
  kept: (fahrenheit) => (fahrenheit - 32) / 1.8,
}
const INCHES: Scale = {
  unit: 'in',
  shown: (mm) => mm / 25.4,
  kept: (inches) => inches * 25.4,
}

/** The scale a unit is read in by this person; a unit nobody converts is its own. */
export function scaleOf(unit = ''): Scale {
  if (unit === '°C' && preferences.value.fahrenheit) return FAHRENHEIT
  if (unit === 'mm' && preferences.value.inches) return INCHES
  return { unit, shown: (value) => value, kept: (value) => value }
}

/** '83 °C' or '181.4 °F'. */
export function degrees(celsius: number): string {
  const { unit, shown } = scaleOf('°C')
  return `${figure(shown(celsius), 1)} ${unit}`
}
