import { afterEach, describe, expect, it, vi } from 'vitest'

import type { FormulaEntry, Job, Proposal, Reading, Swapped, Turned } from '../../api/types'
import { json, mounted, serveWith, settled, working } from '../../testing/kitchen'
import AsidesList from './AsidesList.vue'
import DialBoard from './DialBoard.vue'
import FitDialog from './FitDialog.vue'
import FormulaSetter from './FormulaSetter.vue'
import SetNew from './SetNew.vue'
import SwapPairs from './SwapPairs.vue'
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

const job: Job = {
  key: 'ganache.slice',
  name: 'slicing in a tart',
  kind: 'ganache',
  dial: {
    code: 'set-number',
    name: 'Set number',
    unit: '',
    says: 'firming parts',
    bands: [
      { name: 'pours', least: 0.6, most: 0.92 },
      { name: 'slices', least: 0.92, most: 1.32 },
      { name: 'pipes', least: 1.32, most: 1.65 },
    ],
    moves: 'the liquid',
    step: 0.01,
    source: 'common practice',
  },
  band: 'slices',
  aim: 1.2,
  notes: ['2 h cold'],
  did: 'sliced well',
  slots: [{ slot: 'with', says: 'with', usual: 'dark couverture' }],
  options: [{ stuff: 'butter', name: 'butter', why: 'a short melt' }],
  ways: [],
  tools: ['other chocolates', 'holds at'],
}
const FAMILIES = {
  families: [
    {
      key: 'ganache',
      name: 'Ganache',
      kind: 'ganache',
      flavor: 'dark-chocolate',
      jobs: [job],
      failures: [],
      cautions: [],
    },
  ],
  figures: [{ code: 'fat', name: 'Fat', unit: '%' }],
}
const entry: FormulaEntry = {
  name: 'Tart ganache',
  kind: 'ganache',
  flavor: '',
  base_lines: [],
  losses: { cooking_percent: 0, pan_percent: 2, tasting_percent: 0, cooked_to: null },
  gas_kept: 0.8,
  measured_density_g_ml: null,
  method: [],
  whole_eggs: false,
  job: 'ganache.slice',
  lines: [
    {
      key: 'a',
      mass_g: 248,
      overrun_percent: 0,
      stage: '',
      strained_percent: 0,
      soaked: 0,
      note: '',
      ingredient: 'dark',
    },
    {
      key: 'b',
      mass_g: 214,
      overrun_percent: 0,
      stage: '',
      strained_percent: 0,
      soaked: 0,
      note: '',
      ingredient: 'cream',
    },
  ],
}
const landing = (value: number, name = 'slices'): NonNullable<Reading['landing']> => ({
  working: working('Set number of Tart ganache', value, ''),
  band: job.dial.bands.find((band) => band.name === name) ?? null,
  refusal: '',
})
const reading = (value: number) =>
  ({
    landing: landing(value),
    sentence: [
      { slot: 'with', line: 'a' },
      { slot: 'on', line: 'b' },
    ],
    asides: [],
    judged: [],
    finished_g: 453,
    eggs: null,
  }) as Partial<Reading> as Reading
const nameOf = (line: { key: string }) => (line.key === 'a' ? 'Dark couverture' : 'Cream')

describe('DialBoard', () => {
  const board = (more: Record<string, unknown> = {}) =>
    mounted(DialBoard, {
      job,
      landing: landing(1.1),
      finished: 453,
      refusal: '',
      disabled: false,
      ...more,
    })

  it('says where it stands, and marks the band its job asks for', () => {
    const wrapper = board()
    expect(wrapper.get('[role=slider]').attributes('aria-valuetext')).toContain('1.1')
    expect(wrapper.get('[role=slider]').attributes('aria-valuetext')).toContain('slices')
    expect(wrapper.get('.band.asked').text()).toBe('slices')
    expect(wrapper.text()).toContain('the 453 g stay')
    expect(wrapper.text()).not.toContain('not yet for its job')
    expect(board({ landing: landing(1.5, 'pipes') }).text()).toContain('not yet for its job')
  })

  it('turns by the keyboard, to the edges of its band too', async () => {
    const wrapper = board()
    const needle = wrapper.get('[role=slider]')
    await needle.trigger('keydown', { key: 'ArrowRight' })
    await needle.trigger('keydown', { key: 'ArrowRight' })
    await needle.trigger('keydown', { key: 'Home' })
    await needle.trigger('keydown', { key: 'x' })
    const turned = wrapper.emitted('turn')?.map(([value]) => value) as number[]
    expect(turned).toHaveLength(3)
    expect(turned[0]).toBeGreaterThan(1.1)
    expect(turned[1]).toBeGreaterThan(turned[0] ?? 0)
    expect(turned[2]).toBeCloseTo(0.92)
    expect(wrapper.emitted('settle')).toHaveLength(3)
  })

  it('does not move for those who may only read, and falls back when refused', async () => {
    const still = board({ disabled: true })
    await still.get('[role=slider]').trigger('keydown', { key: 'ArrowRight' })
    expect(still.emitted('turn')).toBeUndefined()
    const wrapper = board()
    await wrapper.get('[role=slider]').trigger('keydown', { key: 'End' })
    expect(wrapper.get('[role=slider]').attributes('aria-valuenow')).toBe('1.32')
    await wrapper.setProps({ refusal: 'It can be had from 0.9 to 1.2.' })
    expect(wrapper.get('[role=slider]').attributes('aria-valuenow')).toBe('1.1')
    expect(wrapper.text()).toContain('It can be had')
  })

  it('says why where it cannot be told', () => {
    const lost = board({ landing: { working: null, band: null, refusal: 'Unknown in Bay.' } })
    expect(lost.text()).toContain('Unknown in Bay.')
    expect(lost.find('[role=slider]').exists()).toBe(false)
  })
})

describe('DialBoard, moved by the kitchen', () => {
  it('shows by what, and stands in its own bands', () => {
    const bands = job.dial.bands.map((band) => ({
      ...band,
      least: 2 * band.least,
      most: 2 * band.most,
    }))
    const own = "This kitchen's own: 2.4 where practice has 1.2, by Winter drip, revision 3."
    const wrapper = mounted(DialBoard, {
      job: {
        ...job,
        dial: { ...job.dial, bands },
        own: { says: own, working: working('Aim', 2.4, '') },
      },
      landing: null,
      finished: undefined,
      refusal: '',
      disabled: false,
    })
    expect(wrapper.text()).toContain(own)
    expect(wrapper.text()).toContain(String(bands[0]?.most))
  })
})

describe('FormulaSetter', () => {
  it('turns from where it began, shows it at once and saves it as one step', async () => {
    const asked: unknown[] = []
    const turned: Turned = {
      lines: [
        { key: 'a', mass_g: 260 },
        { key: 'b', mass_g: 202 },
      ],
      losses: { cooking_percent: 0, pan_percent: 2, tasting_percent: 0, cooked_to: null },
      reading: reading(1.2),
    }
    serveWith(async (request) => {
      if (request.url.endsWith('/turn')) {
        asked.push(await request.json())
        return json(200, turned)
      }
      return json(200, FAMILIES)
    })
    const draft = { value: entry as FormulaEntry | null }
    const preview = vi.fn((changed: Partial<FormulaEntry>) => {
      if (draft.value) draft.value = { ...draft.value, ...changed }
    })
    const edits: [Partial<FormulaEntry>, FormulaEntry | null | undefined][] = []
    const edit = vi.fn(async (changed: Partial<FormulaEntry>, before?: FormulaEntry | null) => {
      edits.push([changed, before])
    })
    const wrapper = mounted(FormulaSetter, {
      id: 'f',
      entry,
      reading: reading(1.1),
      formula: { draft, row: { value: undefined }, preview },
      job,
      edit,
      nameOf,
      disabled: false,
    })
    await settled()
    expect(wrapper.text()).toMatch(/with\s*Dark couverture/)
    await wrapper.get('[role=slider]').trigger('keydown', { key: 'End' })
    await settled()
    expect(asked).toHaveLength(1)
    expect(asked[0]).toMatchObject({ value: 1.32, entry: { job: 'ganache.slice' } })
    expect(preview).toHaveBeenCalledOnce()
    expect(edit).toHaveBeenCalledOnce()
    const [[changed, before] = [{}, null]] = edits
    expect(changed.lines?.map((line) => line.mass_g)).toEqual([260, 202])
    expect(before).toBe(entry)
  })

  it('offers nothing to set where no family has jobs of its kind', async () => {
    serveWith(() => json(200, FAMILIES))
    const wrapper = mounted(FormulaSetter, {
      id: 'f',
      entry: { ...entry, kind: 'crisp', job: '' },
      reading: undefined,
      formula: { draft: { value: entry }, row: { value: undefined }, preview: vi.fn() },
      job: undefined,
      edit: vi.fn(),
      nameOf,
      disabled: false,
    })
    await settled()
    expect(wrapper.find('.sentence').exists()).toBe(false)
    expect(wrapper.find('.dial').exists()).toBe(false)
  })
})

describe('a swap side by side', () => {
  const swap: Swapped = {
    lines: [
      {
        key: 'a',
        before: 'Dark',
        after: 'Milk',
        added: null,
        before_g: 248,
        straight_g: 248,
        rebalanced_g: 314,
        soaked: 0,
      },
    ],
    gauges: [
      {
        code: 'set-number',
        beside: null,
        moved: true,
        name: 'Set number',
        before: working('S', 1.14, ''),
        straight: working('S', 0.65, ''),
        rebalanced: working('S', 1.14, ''),
        straight_fits: false,
        rebalanced_fits: true,
      },
      {
        code: 'fat',
        beside: null,
        moved: false,
        name: 'Fat',
        before: working('F', 37, '%'),
        straight: working('F', 37.1, '%'),
        rebalanced: working('F', 37, '%'),
        straight_fits: true,
        rebalanced_fits: true,
      },
    ],
    kept: [
      { name: 'Set number', unit: '', before: 1.14, after: 1.14, kept: true },
      { name: 'Sweetness', unit: '', before: 21, after: 29, kept: false },
    ],
    notes: [{ about: 'allergens', says: 'It brings in milk: tell the service.' }],
  }

  it('pairs lines, shows what moved, what is kept and what no swap keeps', () => {
    const wrapper = mounted(SwapPairs, { swap, name: 'Tart ganache' })
    expect(wrapper.get('s').text()).toBe('Dark')
    expect(wrapper.text()).toContain('314 g')
    expect(wrapper.text()).toContain('Set number')
    expect(wrapper.text()).not.toContain('Fat')
    expect(wrapper.findAll('.off')).toHaveLength(1)
    expect(wrapper.text()).toContain('Rebalanced keeps set number.')
    expect(wrapper.text()).toContain('No swap keeps sweetness.')
    expect(wrapper.text()).toContain('tell the service')
  })
})

describe('FitDialog', () => {
  it('asks what is filled in, beginning with the dial, and names a conflict', async () => {
    let sent: { demands: unknown[] } | undefined
    serveWith(async (request) => {
      if (!request.url.endsWith('/fit')) return json(200, FAMILIES)
      sent = (await request.json()) as typeof sent
      return json(200, {
        lines: [
          { key: 'a', name: 'Dark', before_g: 248, after_g: 248, because: [] },
          { key: 'b', name: 'Cream', before_g: 214, after_g: 190, because: ['fat at most 30 %'] },
        ],
        asked: [{ says: 'fat at most 30 %', missed: 0.1 }],
        conflict: ['fat at most 30 %', 'Dark as it is'],
        told_apart: true,
        kept_g: 453,
        gauges: [],
        solves: 2,
        source: 'least change',
      })
    })
    const wrapper = mounted(FitDialog, { id: 'f', entry, job, eggs: false, nameOf })
    await settled()
    const page = document.body
    expect(page.textContent).not.toContain('eggs whole')
    const find = [...page.querySelectorAll('button')].find((one) =>
      one.textContent?.includes('Find the nearest'),
    )
    find?.click()
    await settled()
    expect(sent?.demands).toEqual([
      {
        kind: 'reads',
        figure: 'dial',
        line: null,
        on: null,
        mass_g: null,
        least: 0.92,
        most: 1.32,
      },
    ])
    expect(page.textContent).toContain('cannot be had together')
    expect(page.querySelectorAll('.conflict li')).toHaveLength(2)
    const take = [...page.querySelectorAll('button')].find((one) =>
      one.textContent?.includes('Take the nearest'),
    )
    take?.click()
    const [change] = wrapper.emitted('change')?.[0] as [FormulaEntry]
    expect(change.lines?.map((line) => line.mass_g)).toEqual([248, 190])
  })

  it('shows a refusal at the demand it is about', async () => {
    serveWith((request) =>
      request.url.endsWith('/fit')
        ? json(422, {
            status: 422,
            title: 'No',
            detail: 'Most must be at least 0.92.',
            errors: [{ field: 'demands.0.most', message: 'Most must be at least 0.92.' }],
          })
        : json(200, FAMILIES),
    )
    mounted(FitDialog, { id: 'f', entry, job, eggs: false, nameOf })
    await settled()
    ;[...document.querySelectorAll('button')]
      .find((one) => one.textContent?.includes('Find the nearest'))
      ?.click()
    await settled()
    expect(document.querySelector('li [role=alert]')?.textContent).toContain('at least 0.92')
  })
})

describe('SetNew', () => {
  it('proposes with every choice and hands on the entry under its name', async () => {
    const wishes: { without: string[] }[] = []
    const proposal = {
      entry: { ...entry, name: 'Ganache, slicing in a tart' },
      names: { a: 'Dark couverture', b: 'Cream' },
      why: { a: 'it firms', b: 'the dial sets it' },
      choices: { with: [{ id: 'dark', name: 'Dark couverture' }] },
      picked: { with: 'dark' },
      reading: reading(1.2),
    } as Partial<Proposal> as Proposal
    serveWith(async (request) => {
      if (!request.url.endsWith('/propose')) return json(200, FAMILIES)
      wishes.push((await request.json()) as { without: string[] })
      return json(200, proposal)
    })
    const wrapper = mounted(SetNew, { error: undefined })
    await settled()
    expect(document.body.textContent).toContain('the dial sets it')
    document.querySelector<HTMLInputElement>('input[type=checkbox]')?.click()
    await settled()
    expect(wishes.map((one) => one.without)).toEqual([[], ['butter']])
    ;[...document.querySelectorAll('button')]
      .find((one) => one.textContent?.includes('Write it down'))
      ?.click()
    const [made] = wrapper.emitted('make')?.[0] as [FormulaEntry]
    expect(made.name).toBe('Ganache, slicing in a tart')
    expect(made.lines).toHaveLength(2)
  })

  it('says what the pantry lacks', async () => {
    serveWith((request) =>
      request.url.endsWith('/propose')
        ? json(422, { status: 422, title: 'No', detail: 'Some dark couverture.', errors: [] })
        : json(200, FAMILIES),
    )
    mounted(SetNew, { error: undefined })
    await settled()
    expect(document.querySelector('[role=alert]')?.textContent).toContain('dark couverture')
  })
})

describe('AsidesList', () => {
  it('marks what holds and what does not', () => {
    const wrapper = mounted(AsidesList, {
      asides: [
        { name: 'A clean slice', says: 'holds', holds: true, source: '', working: null },
        { name: 'An hour at 20 °C', says: 'sinks', holds: false, source: '', working: null },
        { name: 'Color', says: 'amber', holds: null, source: '', working: null },
      ],
    })
    expect(wrapper.findAll('.mark')).toHaveLength(2)
    expect(wrapper.findAll('.mark.no')).toHaveLength(1)
  })
})
