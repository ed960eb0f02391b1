import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import type { FormulaEntry, Judged, Losses, Reading, Revision } from '../api/types'
import { preferences } from '../kit/units'
import { useWorking } from '../kit/working'
import { json, mounted, serveWith, settled, step, working } from '../testing/kitchen'
import DeclaredCard from './DeclaredCard.vue'
import FormulaFindings from './FormulaFindings.vue'
import FormulaReadings from './FormulaReadings.vue'
import { barOf, type Gauge, windowWords } from './gauges'
import LossesFields from './LossesFields.vue'
import RevisionsPanel from './RevisionsPanel.vue'
import StepCard from './StepCard.vue'
afterEach(() => {
  vi.unstubAllGlobals()
  preferences.value = { measures: 'metric', fahrenheit: false, inches: false }
  document.body.innerHTML = ''
})

const gauge = (more: Partial<Gauge> = {}): Gauge => ({
  code: 'sweetness',
  name: 'Sweetness',
  section: 'does',
  working: working('Sweetness of Mousse', 15, 'sugar = 100'),
  valid: 'up to 60 % sugars',
  needs: [],
  overcooked: [],
  refusal: '',
  other: null,
  window: { least: 10, most: 20, why: 'Flat below.', source: 'common practice' },
  caveat: '',
  decimals: null,
  other_says: '',
  beside: null,
  headline: false,
  ...more,
})

describe('the bar of a reading', () => {
  it('keeps the window in the middle half and the needle inside the bar', () => {
    expect(barOf(gauge())).toEqual({ from: 25, to: 75, at: 50 })
    const far = gauge({ working: working('Sweetness', 900, '') })
    expect(barOf(far)?.at).toBe(100)
    expect(barOf(gauge({ window: null }))).toBeNull()
    expect(barOf(gauge({ working: null }))).toBeNull()
  })

  it('says its window in words, open ends too', () => {
    expect(windowWords(gauge())).toBe('10 to 20')
    const open = { why: '', source: '' }
    expect(windowWords(gauge({ window: { least: null, most: 2, ...open } }))).toBe('at most 2')
    expect(windowWords(gauge({ window: { least: 3, most: null, ...open } }))).toBe('at least 3')
  })
})

const reading = (more: Partial<Reading> = {}): Reading => ({
  here: null,
  gas_kept: 0.8,
  method: [],
  told: [],
  waits: [],
  batch_g: 100,
  finished_g: 98,
  percents: [],
  kitchen: [],
  brings: [],
  without_density: [],
  gauges: [],
  judged: [],
  declared: { contains: {}, unknown: [] },
  cooking: null,
  eggs: null,
  leftovers: [],
  landing: null,
  sentence: [],
  asides: [],
  finished: working('Finished', 98),
  density: null,
  volume: null,
  ...more,
})

describe('FormulaReadings', () => {
  it('prints a reading, its other school, and opens its working', async () => {
    const root = gauge({
      decimals: 2,
      other_says: 'leaf for leaf',
      code: 'gelatin-water',
      name: 'Gelatin on the water',
      working: working('Gelatin, root', 1.234, '%'),
      other: working('Gelatin, leaves', 1.1, '%'),
    })
    const wrapper = mounted(FormulaReadings, { gauges: [{ gauge: root, verdict: 'within' }] })
    expect(wrapper.text()).toContain('1.23')
    expect(wrapper.text()).toContain('leaf for leaf')
    await wrapper.get('.value button').trigger('click')
    expect(useWorking().open.value?.figure).toBe('Gelatin, root')
  })

  it('says once what is to be borne in mind of several readings', () => {
    const shown = (name: string, caveat: string) => ({
      gauge: gauge({ code: name, name, caveat }),
      verdict: null,
    })
    const text = mounted(FormulaReadings, {
      gauges: [shown('Boils', 'May crystallize.'), shown('Freezes', 'May crystallize.')],
    }).text()
    expect(text.match(/May crystallize/g)).toHaveLength(1)
    expect(text).toContain('Boils, Freezes:')
  })

  it('shows degrees in the scale the person reads', () => {
    preferences.value = { measures: 'US', fahrenheit: true, inches: false }
    const boils = gauge({
      code: 'boils',
      name: 'Boils at, here',
      working: working('Boiling point', 106, '°C'),
      window: null,
    })
    const wrapper = mounted(FormulaReadings, { gauges: [{ gauge: boils, verdict: null }] })
    // 106 °C x 1.8 + 32 = 222.8 °F.
    expect(wrapper.get('.value').text()).toContain('222.8')
    expect(wrapper.get('.value').text()).toContain('°F')
  })
})

describe('DeclaredCard', () => {
  const text = (more: Partial<Reading>) => mounted(DeclaredCard, { reading: reading(more) }).text()

  it('says what is declared, and which allergens nobody entered', () => {
    const said = text({ declared: { contains: { milk: ['Cream'] }, unknown: ['Moon dust'] } })
    expect(said).toContain('Contains milk (Cream).')
    expect(said).toContain('Allergens not entered for Moon dust')
  })

  it('tells eggs to crack and who could take what is left', () => {
    const whites = working('Whites left', 102)
    const said = text({
      eggs: working('Eggs to crack', 5, 'eggs'),
      leftovers: [{ part: 'white', count: 3, working: whites, takers: ['Meringue'] }],
    })
    expect(said).toContain('5 eggs to crack')
    expect(said).toMatch(/3 whites left,\s*102\s*g: could go into Meringue/)
  })
})

const entry: FormulaEntry = {
  name: 'F',
  kind: 'mousse',
  flavor: '',
  base_lines: [],
  losses: { cooking_percent: 5, pan_percent: 2, tasting_percent: 0, cooked_to: null },
  gas_kept: 0.8,
  measured_density_g_ml: null,
  method: [],
  whole_eggs: false,
  job: '',
  lines: [
    {
      key: 'a',
      mass_g: 9,
      overrun_percent: 0,
      stage: '',
      strained_percent: 0,
      soaked: 0,
      note: '',
      ingredient: 'i',
      formula: null,
    },
    {
      key: 'b',
      mass_g: 300,
      overrun_percent: 0,
      stage: '',
      strained_percent: 0,
      soaked: 0,
      note: '',
      ingredient: 'j',
      formula: null,
    },
  ],
}
const judged = (mend: Partial<NonNullable<Judged['mend']>>): Judged => ({
  finding: {
    code: 'reading-gelatin-water',
    severity: 'caution',
    message: 'Gelatin: 4 %, above 2.2 %.',
    why: 'Rubber.',
    remedy: 'Take 4 g out.',
    source: 'common practice',
    part: null,
    formula: 'f',
  },
  mend: {
    says: 'Take 4 g out',
    line: null,
    mass_g: null,
    cooking_percent: null,
    cooked_to: null,
    ...mend,
  },
})

describe('FormulaFindings', () => {
  const press = async (mend: Partial<NonNullable<Judged['mend']>>) => {
    const wrapper = mounted(FormulaFindings, { judged: [judged(mend)], entry, disabled: false })
    await wrapper.get('.mend').trigger('click')
    return wrapper.emitted('change')?.[0]?.[0] as Partial<FormulaEntry>
  }

  it('applies a remedy to its line only', async () => {
    const change = await press({ line: 'a', mass_g: 5 })
    expect(change.lines?.map((line) => line.mass_g)).toEqual([5, 300])
  })

  it('applies a remedy to the cooking, as a share or as a sign', async () => {
    const share = await press({ cooking_percent: 12 })
    expect(share.losses?.cooking_percent).toBe(12)
    const sign = await press({ cooked_to: { until: 'temperature', value: 108 } })
    expect(sign.losses?.cooked_to).toEqual({ until: 'temperature', value: 108 })
    expect(sign.losses?.pan_percent).toBe(2)
  })

  it('offers nothing to somebody who only reads', () => {
    const wrapper = mounted(FormulaFindings, {
      judged: [judged({ line: 'a', mass_g: 5 })],
      entry,
      disabled: true,
    })
    expect(wrapper.text()).toContain('above 2.2 %')
    expect(wrapper.find('.mend').exists()).toBe(false)
  })
})

describe('LossesFields', () => {
  const fields = (losses: Losses, cooking: Reading['cooking'] = null) =>
    mounted(LossesFields, { losses, cooking, errorAt: () => undefined, disabled: false })

  it('asks for the sign where it is cooked to one, and says what share that is', async () => {
    const losses: Losses = {
      cooking_percent: 5,
      pan_percent: 2,
      tasting_percent: 0,
      cooked_to: { until: 'temperature', value: 106 },
    }
    const wrapper = fields(losses, working('Cooks off', 15.31, '%'))
    expect(wrapper.text()).toContain('15.3')
    const sign = wrapper.findAll('input[inputmode=decimal]')[0]
    await sign?.setValue('110')
    await sign?.trigger('blur')
    expect(wrapper.emitted('change')?.[0]).toEqual([
      { ...losses, cooked_to: { until: 'temperature', value: 110 } },
    ])
  })

  it('keeps °C when read and typed in °F', async () => {
    preferences.value = { measures: 'US', fahrenheit: true, inches: false }
    const losses: Losses = {
      cooking_percent: 0,
      pan_percent: 0,
      tasting_percent: 0,
      cooked_to: { until: 'temperature', value: 110 },
    }
    const wrapper = fields(losses)
    const sign = wrapper.findAll('input[inputmode=decimal]')[0]
    expect((sign?.element as HTMLInputElement).value).toBe('230')
    await sign?.trigger('blur')
    expect(wrapper.emitted('change')).toBeUndefined()
    await sign?.setValue('239')
    await sign?.trigger('blur')
    const change = wrapper.emitted('change')?.[0]?.[0] as Losses
    expect(change.cooked_to?.value).toBeCloseTo(115, 9)
  })
})

describe('StepCard', () => {
  const card = (more = {}) =>
    mounted(StepCard, {
      step: step('Stir to 83 °C.', {
        stage: 'cook',
        temperature_c: 83,
        minutes: 6,
        sign: 'it coats',
      }),
      place: 1,
      says: '',
      told: '83 °C · 6 min',
      waits: '',
      last: true,
      open: false,
      disabled: false,
      errorAt: () => undefined,
      ...more,
    })

  it('shows what a step is called, how hot, how long, until when', () => {
    const text = card().text()
    for (const part of ['2 cook', '83 °C', '6 min', 'until it coats']) expect(text).toContain(part)
  })

  it('changes one fact and keeps the others', async () => {
    const wrapper = card({ open: true })
    const heat = wrapper.findAll('input[inputmode=decimal]')[0]
    await heat?.setValue('85')
    await heat?.trigger('blur')
    expect(wrapper.emitted('change')?.[0]?.[0]).toMatchObject({
      temperature_c: 85,
      stage: 'cook',
      minutes: 6,
    })
  })
})

describe('RevisionsPanel', () => {
  const one = (revision: number, more: Partial<Revision> = {}): Revision => ({
    revision,
    at: '2026-03-01T14:02:00Z',
    who: 'Ines',
    action: 'changed',
    name: '',
    good: false,
    says: [`Cream ${revision} → ${revision + 1} g`],
    ...more,
  })
  let sent: unknown[] = []
  beforeEach(() => {
    sent = []
    serveWith(async (request) => {
      if (request.method === 'PUT') {
        sent.push(await request.json())
        return json(200, one(2, { good: true }))
      }
      const items = [one(3), one(2, { name: 'less sweet', good: true }), one(1)]
      return json(200, { items, marked: [one(0, { name: 'the first' })], total: 3 })
    })
  })
  const panel = async (disabled = false) => {
    const wrapper = mounted(RevisionsPanel, { id: 'f', revision: 3, disabled })
    await settled()
    return wrapper
  }

  it('lists what each save changed, its name, and which is now', async () => {
    const text = (await panel()).text()
    expect(text).toContain('3 now')
    expect(text).toContain('‘less sweet’')
    expect(text).toContain('‘the first’')
    expect(text).toContain('Cream 1 → 2 g')
    expect(text).toContain('Since the last good batch')
  })

  it('marks a good batch, and asks for an earlier revision back', async () => {
    const wrapper = await panel()
    await wrapper.get('[aria-label="Revision 1 made a good batch"]').trigger('click')
    await settled()
    expect(sent).toEqual([{ name: '', good: true }])
    const back = wrapper.findAll('button').filter((button) => button.text() === 'bring back')
    await back[0]?.trigger('click')
    expect(wrapper.emitted('restore')).toEqual([[2]])
  })

  it('shows a mark that was kept while the revisions were being read', async () => {
    let good = false
    const held: (() => void)[] = []
    serveWith(async (request) => {
      if (request.method === 'PUT') {
        good = true
        return json(200, one(2, { good }))
      }
      const read = json(200, { items: [one(3), one(2, { good })], marked: [], total: 2 })
      await new Promise<void>((let_go) => held.push(let_go))
      return read
    })
    const wrapper = mounted(RevisionsPanel, { id: 'f', revision: 2, disabled: false })
    await settled()
    held.shift()?.()
    await settled()
    await wrapper.setProps({ revision: 3 })
    await settled()
    await wrapper.get('[aria-label="Revision 2 made a good batch"]').trigger('click')
    await settled()
    while (held.length) held.shift()?.()
    await settled()
    expect(wrapper.text()).toContain('Since the last good batch')
  })

  it('lets an apprentice compare and change nothing', async () => {
    const text = (await panel(true)).text()
    expect(text).toContain('compare')
    expect(text).not.toContain('bring back')
  })
})
