import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import type { FormulaEntry, Reading, ReadLine, Step, Wait } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import { useWorking } from '../kit/working'
import {
  choice,
  ingredient,
  json,
  mounted,
  readLine,
  serveWith,
  settled,
  sheetPage,
  step,
  working,
} from '../testing/kitchen'
import FormulaGrid from './FormulaGrid.vue'
import FormulaTicket from './FormulaTicket.vue'
import type { Gauge } from './gauges'
import MethodEditor from './MethodEditor.vue'
import OvenFields from './OvenFields.vue'
import TypedLine from './TypedLine.vue'
import type { TypedResult } from './useTypedLines'

let typed: { text: string; begun: boolean }[] = []
let made: string[] = []
let remembered: string[] = []
let answer: (text: string) => Promise<Response> | Response
const cream = choice('i-cream', 'Cream, 35 %')
const sour = choice('i-sour', 'Cream, soured')
const sure = (text: string, more: Partial<ReadLine> = {}) =>
  json(200, readLine(text, { certain: cream, ...more }))

beforeEach(() => {
  typed = []
  made = []
  remembered = []
  answer = (text) => sure(text)
  serveWith(async (request) => {
    if (request.url.endsWith('/read-line')) {
      const body = (await request.json()) as { text: string; begun: boolean }
      typed.push(body)
      if (body.begun) return json(200, readLine(body.text, { choices: [cream, sour] }))
      return answer(body.text)
    }
    if (request.url.endsWith('/names')) {
      remembered.push(((await request.json()) as { name: string }).name)
      return json(200, ingredient('i-cream', 'Cream, 35 %'))
    }
    if (request.url.includes('/scaled')) return json(200, [sheetPage()])
    if (request.method === 'POST') {
      const { name } = (await request.json()) as { name: string }
      made.push(name)
      answer = (text) => sure(text, { certain: choice('new', name) })
      return json(201, ingredient('new', name, null))
    }
    return json(200, { items: [], total: 0 })
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

describe('TypedLine', () => {
  async function line(within: string) {
    const wrapper = mounted(TypedLine, { within })
    await settled()
    const input = wrapper.get('input')
    return {
      wrapper,
      input,
      value: () => (input.element as HTMLInputElement).value,
      async type(text: string) {
        await input.setValue(text)
        await input.trigger('input')
      },
      press: (key: string) => input.trigger('keydown', { key }),
      async enter() {
        await input.trigger('keydown', { key: 'Enter', keyCode: 13 })
        await settled()
      },
      added: () => (wrapper.emitted('add') ?? []).map(([one]) => one as TypedResult),
    }
  }
  /** Until the hand rests and the server has said what may be meant. */
  const offered = async () => {
    await new Promise((done) => setTimeout(done, 120))
    await settled()
  }

  it('offers what the server says may be meant, and picks none by itself', async () => {
    const { wrapper, type } = await line('one')
    await type('250 g cre')
    await offered()
    expect(typed).toEqual([{ text: '250 g cre', within: 'one', begun: true }])
    expect(wrapper.findAll('[role=option]').map((one) => one.text())).toEqual([
      expect.stringContaining('Cream, 35 %'),
      expect.stringContaining('Cream, soured'),
    ])
    expect(wrapper.find('[aria-selected=true]').exists()).toBe(false)
  })

  it('takes the offer the arrow keys chose', async () => {
    const { wrapper, type, press, enter, added, value } = await line('two')
    await type('250 g cre')
    await offered()
    await press('ArrowDown')
    await press('ArrowDown')
    expect(wrapper.get('[aria-selected=true]').text()).toContain('soured')
    await enter()
    expect(added()).toMatchObject([{ mass_g: 250, ingredient: 'i-sour', formula: null }])
    expect(value()).toBe('')
  })

  it('is ready for the next line at once, and says plainly what was taken', async () => {
    const { wrapper, type, enter, added, value } = await line('three')
    await type('250 g cream')
    await enter()
    expect(value()).toBe('')
    expect(added()).toMatchObject([{ mass_g: 250, ingredient: 'i-cream', formula: null, note: '' }])
    expect(wrapper.get('.said').text()).toContain('Took 250 g of Cream, 35 %')
    await wrapper.get('.said button').trigger('click')
    expect(wrapper.emitted('remove')).toEqual([[added()[0]?.key]])
  })

  it('keeps lines in the order they were typed, whichever answer comes first', async () => {
    const doors: (() => void)[] = []
    answer = (text) =>
      new Promise((done) => {
        const grams = Number.parseFloat(text)
        doors.push(() => done(sure(text, { certain: { ...cream, mass_g: grams } })))
      })
    const { type, enter, added } = await line('four')
    for (const text of ['10 g cream', '20 g cream', '30 g cream']) {
      await type(text)
      await enter()
    }
    expect(added()).toEqual([])
    for (const open of doors.reverse()) open()
    await settled()
    await settled()
    expect(added().map((one) => one.mass_g)).toEqual([10, 20, 30])
  })

  it('tells a formula from an ingredient, and keeps what was said beside', async () => {
    const milk = choice('f-milk', 'Barley milk', { is_formula: true, mass_g: 80 })
    answer = (text) => sure(text, { certain: milk, note: '70–90 g' })
    const { type, enter, added } = await line('five')
    await type('70-90 g barley milk')
    await enter()
    expect(added()).toMatchObject([
      { mass_g: 80, ingredient: null, formula: 'f-milk', note: '70–90 g' },
    ])
  })

  it('asks where it is not certain, and remembers the answer if wished', async () => {
    answer = (text) =>
      json(200, readLine(text, { name: 'creem', choices: [cream, sour], asks: 'Which creem?' }))
    const { wrapper, press, type, enter, added } = await line('six')
    await type('250 g creem')
    await enter()
    expect(added()).toEqual([])
    expect(wrapper.get('[role=group]').text()).toContain('Which creem?')
    await enter()
    expect(added()).toEqual([])
    await press('ArrowDown')
    await enter()
    expect(added()).toMatchObject([{ ingredient: 'i-cream' }])
    await wrapper.findAll('.said button')[1]?.trigger('click')
    await settled()
    expect(remembered).toEqual(['creem'])
    expect(wrapper.get('.said').text()).toContain('From now on ‘creem’ is Cream, 35 %.')
  })

  it('keeps what could not be read, with the reason, to be written otherwise', async () => {
    answer = (text) =>
      json(200, readLine(text, { name: '', asks: 'Amount must be more than 0, not 0.' }))
    const { wrapper, type, enter, added, value } = await line('seven')
    await type('0 g cream')
    await enter()
    expect(wrapper.get('[role=group]').text()).toContain('more than 0')
    expect(added()).toEqual([])
    const otherwise = wrapper.findAll('button').find((one) => one.text().startsWith('Write it'))
    await otherwise?.trigger('click')
    expect(value()).toBe('0 g cream')
  })

  it('loses nothing when the server is silent: it is read again when asked', async () => {
    answer = () => Promise.reject(new Error('gone'))
    const { wrapper, type, enter, added } = await line('eight')
    await type('250 g cream')
    await enter()
    expect(wrapper.get('[role=group]').text()).toContain('does not answer')
    answer = (text) => sure(text)
    const again = wrapper.findAll('button').find((one) => one.text() === 'Read it again')
    await again?.trigger('click')
    await settled()
    expect(added()).toMatchObject([{ ingredient: 'i-cream' }])
  })

  it('holds a line that asks for its own formula while another is on the screen', async () => {
    answer = (text) => json(200, readLine(text, { choices: [cream], asks: 'Which?' }))
    const { wrapper, type, enter } = await line('nine')
    await type('250 g creem')
    await enter()
    await wrapper.setProps({ within: 'ten' })
    expect(wrapper.find('[role=group]').exists()).toBe(false)
    await wrapper.setProps({ within: 'nine' })
    expect(wrapper.get('[role=group]').text()).toContain('250 g creem')
  })

  it('offers to add what nobody knows, and then takes it', async () => {
    answer = (text) => json(200, readLine(text, { name: 'moon dust', asks: 'not in the pantry' }))
    const { wrapper, type, enter, added } = await line('eleven')
    await type('250 g moon dust')
    await enter()
    const stock = wrapper.findAll('button').find((one) => one.text().startsWith('Add ‘moon dust’'))
    await stock?.trigger('click')
    await settled()
    await settled()
    expect(made).toEqual(['Moon dust'])
    expect(added()).toMatchObject([{ mass_g: 250, ingredient: 'new', formula: null }])
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
      strained_percent: 0,
      soaked: 0,
      note: '',
      ingredient: null,
      formula: 'f-milk',
    },
    {
      key: 'b',
      mass_g: 430,
      overrun_percent: 105,
      stage: '',
      strained_percent: 0,
      soaked: 0,
      note: '',
      ingredient: 'i-cream',
      formula: null,
    },
  ],
}
const reading: Reading = {
  here: null,
  gas_kept: 0.8,
  method: [],
  told: [],
  waits: [],
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
    expect(wrapper.get('.sum').text()).toContain('750')
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
  beforeEach(() => {
    for (const name of ['losses', 'scale', 'used']) {
      localStorage.setItem(`fernbell.fold.${name}`, 'open')
    }
  })
  afterEach(() => localStorage.clear())

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
    expect(fields[3]?.attributes('placeholder')).toBe('80, as usual')
    await fields[3]?.setValue('')
    await fields[3]?.trigger('blur')
    expect(wrapper.emitted('change')?.at(-1)).toEqual([{ gas_kept: null }])
  })

  it('says whose make-up is wanted, once', () => {
    const unknown = { working: null, needs: ['Moon dust'] } as Partial<Gauge> as Gauge
    const gauges = ['fat', 'sugar'].map((code) => ({
      gauge: { ...unknown, code, name: code, section: 'contains' as const },
      verdict: null,
    }))
    const text = ticket({ reading: { ...reading, gauges } }).text()
    expect(text.match(/Unknown without Moon dust/g)).toHaveLength(1)
  })

  it('names what keeps the density unknown, and what uses the formula', () => {
    const unknown = { ...reading, density: null, volume: null, without_density: ['Moon dust'] }
    const text = ticket({ reading: unknown }).text()
    expect(text).toContain('No density for Moon dust')
    expect(text).toContain('Reedbed')
  })

  it('says how long it can be filled, or that there is no limit', async () => {
    const wrapper = ticket()
    const field = wrapper.findAll('.field input')[5]
    await field?.setValue('8')
    await field?.trigger('blur')
    expect(wrapper.emitted('change')?.at(-1)).toEqual([{ sets_min: 8 }])
  })

  it('scales to a mass that is wanted', async () => {
    const wrapper = ticket()
    const field = wrapper.findAll('.field input')[6]
    await field?.setValue('1000')
    await field?.trigger('blur')
    await settled()
    expect(wrapper.get('.formula').text()).toContain('Quince purée')
  })
})

describe('MethodEditor', () => {
  const chill = { kind: 'chill', least_min: 60, most_min: null, placed: false }
  const editor = (
    steps: object[],
    errorAt: (field: string) => string | undefined = () => undefined,
  ) =>
    mounted(MethodEditor, {
      steps,
      says: undefined,
      told: undefined,
      waits: undefined,
      disabled: false,
      errorAt,
    })
  const press = (wrapper: ReturnType<typeof editor>, name: string) =>
    wrapper
      .findAll('button')
      .find((one) => one.text() === name)
      ?.trigger('click')
  async function write(wrapper: ReturnType<typeof editor>, text: string) {
    await press(wrapper, 'Write it as text')
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
    await press(wrapper, 'Write it as text')
    await wrapper.get('textarea').trigger('blur')
    expect(wrapper.emitted('change')).toBeUndefined()
    expect(wrapper.find('textarea').exists()).toBe(false)
  })

  it('keeps a wait with its step when others come before it or its words change', async () => {
    const wrapper = editor([{ text: 'Boil.' }, { text: 'Rest.', wait: chill }])
    await write(wrapper, 'Weigh.\nBoil.\nRest.')
    await write(wrapper, 'Boil.\nRest overnight.')
    const [first, second] = (wrapper.emitted('change') ?? []) as { wait: unknown }[][][]
    expect(first?.[0]?.map((one) => one.wait)).toEqual([null, null, chill])
    expect(second?.[0]?.map((one) => one.wait)).toEqual([null, chill])
  })

  it('shows a step once, with its wait in words', () => {
    const wrapper = mounted(MethodEditor, {
      steps: [step('Boil.'), step('Rest.', { wait: chill as Wait })],
      says: undefined,
      told: undefined,
      waits: ['', 'chill 1 h or longer'],
      disabled: true,
      errorAt: () => undefined,
    })
    expect(wrapper.findAll('li').map((one) => one.text())).toEqual([
      expect.stringContaining('Boil.'),
      expect.stringContaining('chill 1 h or longer'),
    ])
    expect(wrapper.text().match(/Rest\./g)).toHaveLength(1)
  })

  it('adds, moves and takes out a step', async () => {
    const wrapper = editor([step('Boil.'), step('Rest.')])
    const told = () =>
      (wrapper.emitted('change')?.at(-1)?.[0] as { text: string }[]).map((one) => one.text)
    await wrapper.findAll('li .head')[1]?.trigger('click')
    await press(wrapper, 'Earlier')
    expect(told()).toEqual(['Rest.', 'Boil.'])
    await press(wrapper, 'Take the step out')
    expect(told()).toHaveLength(1)
    await press(wrapper, 'Add a step')
    expect(told()).toEqual(['Boil.', 'Rest.', 'Next step.'])
  })

  it('holds a range, and says how the oven goes on', async () => {
    const wrapper = editor([step('Bake.', { temperature_c: 200 })])
    const changed = () => (wrapper.emitted('change')?.at(-1)?.[0] as Step[])[0]
    await wrapper.findAll('li .head')[0]?.trigger('click')
    const upTo = wrapper.findAll('input[inputmode=decimal]')[1]
    await upTo?.setValue('210')
    await upTo?.trigger('blur')
    expect(changed()).toMatchObject({ temperature_c: 200, temperature_to_c: 210 })
    await press(wrapper, 'The oven goes on …')
    expect(changed()?.then).toEqual([{ how: 'then', temperature_c: 180, minutes: null }])
    const oven = mounted(OvenFields, {
      place: 0,
      legs: [{ how: 'then', temperature_c: 180, minutes: 15 }],
      errorAt: (field: string) =>
        field === 'method.0.then.0.temperature_c' ? 'Temperature must be at most 300 °C.' : '',
    })
    expect(oven.text()).toContain('must be at most 300 °C')
    oven.getComponent(ChoiceField).vm.$emit('change', 'off, door shut')
    expect(oven.emitted('change')).toEqual([
      [[{ how: 'off, door shut', temperature_c: null, minutes: 15 }]],
    ])
  })

  it('ends a step with a wait, and says which one is refused', async () => {
    const wrapper = editor([step('Boil.'), step('Rest.')], (field) =>
      field === 'method.1.wait.least_min' ? 'Least must be more than 0 min.' : undefined,
    )
    await wrapper.findAll('li .head')[1]?.trigger('click')
    wrapper.getComponent(ChoiceField).vm.$emit('change', 'chill')
    expect(wrapper.emitted('change')).toEqual([
      [[step('Boil.'), step('Rest.', { wait: chill as Wait })]],
    ])
    expect(wrapper.text()).toContain('Step 2: Least must be more than 0 min.')
  })
})
