import { describe, expect, it } from 'vitest'

import { fits, fitsOption } from './search'

describe('fits', () => {
  it('finds every word in any order, case and accent', () => {
    expect(fits('Crème fraîche', 'fraiche CREME')).toBe(true)
    expect(fits('Creme fraiche', 'crème')).toBe(true)
    expect(fits('Cream, 35 %', 'cream 36')).toBe(false)
    expect(fits('Anything', '')).toBe(true)
    expect(fits('Anything', '  any ')).toBe(true)
  })

  it('goes for options too', () => {
    expect(fitsOption('malt', { label: 'Malt crémeux' })).toBe(true)
    expect(fitsOption('malt', undefined)).toBe(false)
  })
})
