import { describe, expect, it } from 'vitest'

import { fits } from './search'

describe('fits', () => {
  it('finds every word by its beginning, in any order, case and accent', () => {
    expect(fits('Go to Formulas', 'form go')).toBe(true)
    expect(fits('Fill the rest with crème', 'CREME')).toBe(true)
    expect(fits('Take out this size', 'akeout')).toBe(false)
    expect(fits('Anything', '')).toBe(true)
    expect(fits('Anything', '  any ')).toBe(true)
  })
})
