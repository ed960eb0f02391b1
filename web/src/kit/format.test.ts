import { describe, expect, it } from 'vitest'

import { figure, typedNumber, weighed } from './format'

describe('figure', () => {
  it('groups thousands and keeps as many decimals as say something', () => {
    expect(figure(1430.4)).toBe('1\u202f430')
    expect(figure(53.54)).toBe('53.5')
    expect(figure(0.421)).toBe('0.42')
    expect(figure(12)).toBe('12')
    expect(figure(-1234567)).toBe('−1\u202f234\u202f567')
  })
})

describe('weighed', () => {
  it('prints as many decimals as the scale has', () => {
    expect(weighed(12.3, 0.1)).toBe('12.3')
    expect(weighed(12, 0.1)).toBe('12.0')
    expect(weighed(1430, 1)).toBe('1\u202f430')
  })
})

describe('typedNumber', () => {
  it('reads comma and point', () => {
    expect(typedNumber(' 1 234,5 ')).toBe(1234.5)
    expect(typedNumber('.5')).toBe(0.5)
    expect(typedNumber('-3')).toBe(-3)
  })

  it('refuses what is no number', () => {
    for (const text of ['', 'abc', '1e9', 'NaN', 'Infinity', '1.2.3', '12 mm']) {
      expect(typedNumber(text)).toBeUndefined()
    }
  })
})
