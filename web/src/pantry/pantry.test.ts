import { afterEach, describe, expect, it, vi } from 'vitest'

import { house } from '../api/house'
import type { IngredientEntry } from '../api/types'
import { ingredient, mounted, settled } from '../testing/kitchen'
import AllergensEditor from './AllergensEditor.vue'
import ChocolateEditor from './ChocolateEditor.vue'
import MakeUpEditor from './MakeUpEditor.vue'
import PacksEditor from './PacksEditor.vue'
import PairsEditor from './PairsEditor.vue'

const TEMPER = { melt_c: 48, cool_c: 27.5, work_c: 31.5 }
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})
const quiet = { disabled: false, errorAt: () => undefined }

describe('AllergensEditor', () => {
  it('tells not entered from none', async () => {
    const wrapper = mounted(AllergensEditor, { allergens: null, disabled: false })
    await settled()
    expect(wrapper.text()).toContain('Not entered')
    await wrapper.get('.deed').trigger('click')
    expect(wrapper.emitted('change')).toEqual([[[]]])
    await wrapper.setProps({ allergens: [] })
    expect(wrapper.text()).toContain('Holds none')
  })

  it('adds and takes out one of them', async () => {
    const wrapper = mounted(AllergensEditor, { allergens: ['milk'], disabled: false })
    await settled()
    const chip = (name: string) => wrapper.findAll('.chip').find((one) => one.text().includes(name))
    await chip('egg')?.trigger('click')
    await chip('milk')?.trigger('click')
    expect(wrapper.emitted('change')).toEqual([[['milk', 'eggs']], [[]]])
  })
})

describe('MakeUpEditor', () => {
  const entry = (make_up: object): IngredientEntry =>
    ({ ...ingredient('i', 'Gelatin'), make_up }) as Partial<IngredientEntry> as IngredientEntry
  const editor = async (make_up: object) => {
    const wrapper = mounted(MakeUpEditor, { entry: entry(make_up), ...quiet })
    await settled()
    return wrapper
  }

  it('asks for the kind of what is in it, and says what is not known', async () => {
    const wrapper = await editor({ water: 12, gelatin: 87 })
    expect(wrapper.text()).toContain('Bloom of the gelatin')
    expect(wrapper.text()).toContain('99 g known of 100; the rest is unknown')
    expect((await editor({ water: 100 })).text()).not.toContain('Bloom')
  })

  it('closes with nothing of the rest', async () => {
    const wrapper = await editor({ water: 12, gelatin: 87, bloom: 200 })
    const close = wrapper.findAll('button').find((one) => one.text() === 'The rest is none')
    await close?.trigger('click')
    const [change] = wrapper.emitted('change')?.[0] as [{ make_up: Record<string, unknown> }]
    expect(change.make_up).toMatchObject({ bloom: 200, water: 12, gelatin: 87, protein: 0 })
    const keys = house.value.pantry.components.map((one) => one.key)
    expect(keys.every((key) => typeof change.make_up[key] === 'number')).toBe(true)
  })
})

describe('PacksEditor', () => {
  const pack = { name: '1 kg', mass_g: 1000, prices: [{ since: '2026-01-01', price: 4 }] }
  const editor = () =>
    mounted(PacksEditor, { packs: [pack], pricePerKg: 4, currency: 'EUR', ...quiet })

  it('keeps the earlier price beside a new one', async () => {
    vi.useFakeTimers({ now: new Date('2026-05-04T10:00:00Z'), toFake: ['Date'] })
    const wrapper = editor()
    const price = wrapper.findAll('input[inputmode=decimal]')[1]
    await price?.setValue('4.6')
    await price?.trigger('blur')
    expect(wrapper.emitted('change')?.[0]).toEqual([
      [
        {
          ...pack,
          prices: [
            { since: '2026-01-01', price: 4 },
            { since: '2026-05-04', price: 4.6 },
          ],
        },
      ],
    ])
  })

  it('shows the history, the newest first', async () => {
    const wrapper = editor()
    const prices = [...pack.prices, { since: '2026-04-01', price: 5 }]
    await wrapper.setProps({ packs: [{ ...pack, prices }] })
    expect(wrapper.get('.history').text()).toBe('since 2026-04-01; 4 since 2026-01-01')
  })
})

describe('ChocolateEditor', () => {
  it('has three figures for a couverture and none for compound', async () => {
    const chocolate = { kind: 'dark' as const, cocoa_percent: 66, temper: TEMPER }
    const wrapper = mounted(ChocolateEditor, { chocolate, ...quiet })
    await settled()
    expect(wrapper.text()).toContain('figures on the pack win')
    await wrapper.setProps({ chocolate: { kind: 'compound', cocoa_percent: 18, temper: null } })
    expect(wrapper.text()).toContain('not tempered')
    expect(wrapper.text()).not.toContain('Melt to')
  })
})

describe('PairsEditor', () => {
  it('adds, changes and takes out a row', async () => {
    const wrapper = mounted(PairsEditor, {
      pairs: [{ name: 'egg', value: 52 }],
      words: house.value.pantry.pieces,
      ...quiet,
    })
    const weight = wrapper.get('input[inputmode=decimal]')
    await weight.setValue('60')
    await weight.trigger('blur')
    await wrapper.get('.dashed').trigger('click')
    await wrapper.get('[aria-label="Take out egg"]').trigger('click')
    expect(wrapper.emitted('change')).toEqual([
      [[{ name: 'egg', value: 60 }]],
      [
        [
          { name: 'egg', value: 52 },
          { name: 'piece', value: 10 },
        ],
      ],
      [[]],
    ])
  })
})
