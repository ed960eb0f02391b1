import { enableAutoUnmount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import type { FormulaEntry, Reading, ReadLine } from '../api/types'
import { useWorking } from '../kit/working'
import {
  formula,
  ingredient,
  json,
  mounted,
  serveWith,
  settled,
  sheetPage,
  step,
  working,
} from '../testing/kitchen'
import FormulaGrid from './FormulaGrid.vue'
import FormulaTicket from './FormulaTicket.vue'
import MethodEditor from './MethodEditor.vue'
import TypedLine from './TypedLine.vue'

const pantry = [
  ingredient('i-cream', 'Cream, 35 %'),
  ingredient('i-fraiche', 'Crème fraîche'),
  ingredient('i-sour', 'Cream, soured'),
]
const formulas = [formula('f-own', 'Cream of barley'), formula('f-milk', 'Barley milk')]

const read = (mass_g: number | null, matches: ReadLine['matches']): ReadLine => ({
  name: 'cream',
  mass_g,
  understood: `${mass_g} g Cream, 35 %`,
  matches,
})
const cream = { id: 'i-cream', name: 'Cream, 35 %', is_formula: false }

let typed: string[] = []
let made: string[] = []
let answer: () => Response

beforeEach(() => {
  typed = []
  made = []
  answer = () => json(200, read(250, [cream]))
  serveWith(async (request) => {
    if (request.url.endsWith('/read-line')) {
      typed.push(((await request.json()) as { text: string }).text)
      return answer()
    }
    if (request.url.includes('/scaled')) return json(200, [sheetPage()])
    if (request.method === 'POST') {
      const { name } = (await request.json()) as { name: string }
      made.push(name)
      answer = () => json(200, read(250, [{ id: 'new', name, is_formula: false }]))
      return json(201, ingredient('new', name, null))
    }
    const items = request.url.includes('/ingredients') ? pantry : formulas
    return json(200, { items, total: items.length })
  })
})
enableAutoUnmount(afterEach)
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

describe('TypedLine', () => {
  async function line() {
    const wrapper = mounted(TypedLine, { within: 'f-own' })
    await settled()
    const input = wrapper.get('input')
    return {
      wrapper,
      input,
      async type(text: string) {
        await input.setValue(text)
        await input.trigger('input')
      },
      press: (key: string) => input.trigger('keydown', { key }),
      async enter() {
        await input.trigger('keydown', { key: 'Enter', keyCode: 13 })
        await settled()
      },
    }
  }

  it('offers what fits every word, and never the formula itself', async () => {
    const { wrapper, type } = await line()
    await type('250 g cre')
    const names = wrapper.findAll('[role=option]').map((one) => one.text())
    expect(names).toHaveLength(3)
    expect(names.join()).not.toContain('Cream of barley')
    expect(names[1]).toContain('Crème fraîche')
  })

  it('takes the offer the arrow keys chose', async () => {
    const { wrapper, type, press, enter } = await line()
    await type('250 g cre')
    await press('ArrowDown')
    await press('ArrowDown')
    expect(wrapper.get('[aria-selected=true]').text()).toContain('soured')
    await enter()
    expect(typed).toEqual(['250 g Cream, soured'])
  })

  it('hands on grams of what was understood and is ready for the next', async () => {
    const { wrapper, input, type, enter } = await line()
    await type('250 g cream')
    await enter()
    expect(wrapper.emitted('add')).toEqual([
      [{ mass_g: 250, ingredient: 'i-cream', formula: null }],
    ])
    expect((input.element as HTMLInputElement).value).toBe('')
    expect(wrapper.get('.said').text()).toContain('Took 250 g Cream, 35 %')
  })

  it('tells a formula from an ingredient', async () => {
    answer = () => json(200, read(80, [{ id: 'f-milk', name: 'Barley milk', is_formula: true }]))
    const { wrapper, type, enter } = await line()
    await type('80 g barley milk')
    await enter()
    expect(wrapper.emitted('add')).toEqual([[{ mass_g: 80, ingredient: null, formula: 'f-milk' }]])
  })

  it('keeps what could not be read, with the reason', async () => {
    answer = () => json(422, { detail: 'Amount must be more than 0, not 0.', errors: [] })
    const { wrapper, input, type, enter } = await line()
    await type('0 g cream')
    await enter()
    expect((input.element as HTMLInputElement).value).toBe('0 g cream')
    expect(wrapper.get('.said').text()).toContain('more than 0')
    expect(wrapper.emitted('add')).toBeUndefined()
  })

  it('offers to add what nobody knows, and then takes it', async () => {
    answer = () => json(200, { ...read(null, []), name: 'moon dust' })
    const { wrapper, type, enter } = await line()
    await type('250 g moon dust')
    await enter()
    expect(wrapper.get('.said').text()).toContain('‘moon dust’ is not in the pantry.')
    await wrapper.get('.said button').trigger('click')
    await settled()
    expect(made).toEqual(['Moon dust'])
    expect(wrapper.emitted('add')).toEqual([[{ mass_g: 250, ingredient: 'new', formula: null }]])
  })
})

const entry: FormulaEntry = {
  name: 'Mousse',
  kind: 'mousse',
  flavor: '',
  base_lines: ['b'],
  losses: { cooking_percent: 2, pan_percent: 3, tasting_percent: 0 },
  gas_kept: 0.8,
  measured_density_g_ml: null,
  method: [],
  whole_eggs: false,
  job: '',
  lines: [
    {
      key: 'a',
      mass_g: 320,
      overrun_percent: 0,
      stage: '',
      strained: false,
      ingredient: null,
      formula: 'f-milk',
    },
    {
      key: 'b',
      mass_g: 430,
      overrun_percent: 105,
      stage: '',
      strained: false,
      ingredient: 'i-cream',
      formula: null,
    },
  ],
}
const reading: Reading = {
  batch_g: 750,
  finished_g: 713,
  percents: [working('Milk on cream', 74.4, '%'), working('Cream on cream', 100, '%')],
  kitchen: [null, null],
  brings: [
    { shares: { water: 0.8, sugars: 0.1 }, unknown: 0.1 },
    { shares: { water: 0.6, 'milk fat': 0.35 }, unknown: 0 },
  ],
  gauges: [],
  judged: [],
  declared: { contains: {}, unknown: [] },
  cooking: null,
  eggs: null,
  leftovers: [],
  landing: null,
  sentence: [],
  asides: [],
  without_density: [],
  finished: working('Mousse, finished', 713),
  density: working('Density of Mousse', 0.787, 'g/ml'),
  volume: working('Volume of Mousse', 906, 'ml'),
}

describe('FormulaGrid', () => {
  const grid = (more = {}) =>
    mounted(FormulaGrid, {
      id: 'f-own',
      entry,
      nameOf: (line: { key: string }) => (line.key === 'a' ? 'Barley milk' : 'Cream, 35 %'),
      reading,
      errorAt: () => undefined,
      disabled: false,
      ...more,
    })
  const change = (wrapper: ReturnType<typeof grid>) =>
    wrapper.emitted('change')?.at(-1)?.[0] as Partial<FormulaEntry>

  it('links nested formulas, marks the base line and prints what is weighed', () => {
    const wrapper = grid()
    const rows = wrapper.findAll('tbody tr')
    expect(rows[0]?.get('a').attributes('href')).toBe('/formulas/f-milk')
    expect(rows[1]?.classes()).toContain('base')
    expect(rows[0]?.text()).toContain('74.4')
    expect(wrapper.get('tfoot').text()).toContain('750')
  })

  it('changes grams and air of one line only', async () => {
    const wrapper = grid()
    const row = wrapper.findAll('tbody tr')[1]
    const grams = row?.get('.grams input')
    const air = row?.get('.air input')
    await grams?.setValue('400')
    await grams?.trigger('blur')
    expect(change(wrapper).lines?.map((line) => line.mass_g)).toEqual([320, 400])
    await air?.setValue('')
    await air?.trigger('blur')
    expect(change(wrapper).lines?.map((line) => line.overrun_percent)).toEqual([0, 0])
  })

  it('moves, takes out, and lets go of a base line that is taken out', async () => {
    const wrapper = grid()
    await wrapper.get('[aria-label="Move Barley milk down"]').trigger('click')
    expect(change(wrapper).lines?.map((line) => line.key)).toEqual(['b', 'a'])
    await wrapper.get('[aria-label="Take out Cream, 35 %"]').trigger('click')
    expect(change(wrapper)).toMatchObject({ base_lines: [], lines: [{ key: 'a' }] })
  })

  it('counts percentages on the line that is pressed, and on the whole when pressed again', async () => {
    const wrapper = grid()
    await wrapper.get('[aria-label="Count percentages on Barley milk"]').trigger('click')
    expect(change(wrapper)).toEqual({ base_lines: ['b', 'a'] })
    await wrapper.get('[aria-label="Count percentages on Cream, 35 %"]').trigger('click')
    expect(change(wrapper)).toEqual({ base_lines: [] })
  })

  it('goes down a line with Enter', async () => {
    const wrapper = grid()
    const first = wrapper.get('.grams input')
    ;(first.element as HTMLInputElement).focus()
    await first.trigger('keydown', { key: 'Enter', keyCode: 13 })
    await settled()
    expect(document.activeElement).toBe(wrapper.findAll('.grams input')[1]?.element)
  })

  it('shows a refusal at its line', () => {
    const errorAt = (field: string) =>
      field === 'lines.1.mass_g' ? 'Mass must be at least 0.' : undefined
    const rows = grid({ errorAt }).findAll('tbody tr')
    expect(rows[1]?.text()).toContain('at least 0')
    expect(rows[0]?.text()).not.toContain('at least 0')
  })

  it('is only looked at by who may not write', () => {
    const wrapper = grid({ disabled: true })
    expect(wrapper.find('[role=combobox]').exists()).toBe(false)
    expect(wrapper.find('[aria-label^="Take out"]').exists()).toBe(false)
    expect(wrapper.get('.grams input').attributes('disabled')).toBeDefined()
  })
})

describe('FormulaTicket', () => {
  const ticket = (more = {}) =>
    mounted(FormulaTicket, {
      id: 'f-own',
      row: { used_by: ['Reedbed'] },
      entry,
      reading,
      errorAt: () => undefined,
      disabled: false,
      ...more,
    })

  it('opens the working of mass, density and volume', async () => {
    const { open } = useWorking()
    const wrapper = ticket()
    const opened: (string | undefined)[] = []
    for (const button of wrapper.findAll('dl button')) {
      await button.trigger('click')
      opened.push(open.value?.figure)
    }
    expect(opened).toEqual(['Mousse, finished', 'Density of Mousse', 'Volume of Mousse'])
  })

  it('changes one loss and keeps the others; folding is asked in percent', async () => {
    const wrapper = ticket()
    const fields = wrapper.findAll('.field input')
    await fields[1]?.setValue('5')
    await fields[1]?.trigger('blur')
    await fields[3]?.setValue('75')
    await fields[3]?.trigger('blur')
    expect(wrapper.emitted('change')).toEqual([
      [
        {
          losses: { cooking_percent: 2, pan_percent: 5, tasting_percent: 0, cooked_to: null },
        },
      ],
      [{ gas_kept: 0.75 }],
    ])
  })

  it('names what keeps the density unknown, and what uses the formula', () => {
    const unknown = { ...reading, density: null, volume: null, without_density: ['Moon dust'] }
    const text = ticket({ reading: unknown }).text()
    expect(text).toContain('No density for Moon dust')
    expect(text).toContain('Reedbed')
  })

  it('scales to a mass that is wanted', async () => {
    const wrapper = ticket()
    const field = wrapper.findAll('.field input')[5]
    await field?.setValue('1000')
    await field?.trigger('blur')
    await settled()
    expect(wrapper.get('.sheet').text()).toContain('Quince purée')
  })
})

describe('MethodEditor', () => {
  const chill = { kind: 'chill', least_min: 60, most_min: null, placed: false }
  const editor = (
    steps: object[],
    errorAt: (field: string) => string | undefined = () => undefined,
  ) => mounted(MethodEditor, { steps, disabled: false, errorAt })
  async function write(wrapper: ReturnType<typeof editor>, text: string) {
    await wrapper.get('textarea').setValue(text)
    await wrapper.get('textarea').trigger('blur')
  }

  it('keeps one step a line and drops empty ones', async () => {
    const wrapper = editor([{ text: 'Boil.' }])
    await write(wrapper, 'Boil.\n\n  Pour at 35 °C.  \n')
    expect(wrapper.emitted('change')).toEqual([
      [[step('Boil.', { wait: null }), step('Pour at 35 °C.', { wait: null })]],
    ])
  })

  it('saves nothing when nothing changed', async () => {
    const wrapper = editor([{ text: 'Boil.' }])
    await wrapper.get('textarea').trigger('blur')
    expect(wrapper.emitted('change')).toBeUndefined()
  })

  it('keeps a wait with its step when others come before it or its words change', async () => {
    const wrapper = editor([{ text: 'Boil.' }, { text: 'Rest.', wait: chill }])
    await write(wrapper, 'Weigh.\nBoil.\nRest.')
    await write(wrapper, 'Boil.\nRest overnight.')
    const [first, second] = (wrapper.emitted('change') ?? []) as { wait: unknown }[][][]
    expect(first?.[0]?.map((one) => one.wait)).toEqual([null, null, chill])
    expect(second?.[0]?.map((one) => one.wait)).toEqual([null, chill])
  })

  it('ends the last step with a wait, and says which one is refused', async () => {
    const wrapper = editor([{ text: 'Boil.' }, { text: 'Rest.' }], (field) =>
      field === 'method.1.wait.least_min' ? 'Least must be more than 0 min.' : undefined,
    )
    const add = wrapper.findAll('button').find((one) => one.text() === 'Add a wait')
    await add?.trigger('click')
    expect(wrapper.emitted('change')).toEqual([
      [[{ text: 'Boil.' }, { text: 'Rest.', wait: chill }]],
    ])
    expect(wrapper.text()).toContain('Step 2: Least must be more than 0 min.')
  })
})
