import { beforeEach, describe, expect, it } from 'vitest'

import type { PastedLine } from '../api/types'
import { choice, ingredient, json, mounted, readLine, serveWith, settled } from '../testing/kitchen'
import PasteLines from './PasteLines.vue'
import { ASKED, choiceFor, linesOf, NEW, newRows, optionsFor, SKIP } from './pasted'

const line = (text: string, more: Partial<PastedLine> = {}): PastedLine => ({
  ...readLine(text),
  heading: false,
  ...more,
})
const cream = choice('i-cream', 'Cream, 35 %')
const milk = choice('f-milk', 'Barley milk', { is_formula: true })
const known = line('250 g cream', { certain: cream })
const open = line('250 g milk', { choices: [cream, milk], asks: 'Which milk?' })
const unknown = line('120.456 g medlar', { weighs_g: 120.456 })
const missing = line('salt', { weighs_g: null, asks: 'no amount', name: '' })

describe('what a pasted line is taken as', () => {
  it('is what is certain, something new, or nothing; what is not certain is asked', () => {
    expect([known, open, unknown, missing].map(choiceFor)).toEqual(['i-cream', ASKED, NEW, SKIP])
  })

  it('can be said otherwise', () => {
    expect(optionsFor(open).map((one) => one.label)).toEqual([
      'Cream, 35 %',
      'Barley milk (formula)',
      'New in the pantry: milk',
      'Leave it out',
    ])
  })

  it('becomes lines of ingredients and of formulas', () => {
    const lines = linesOf(
      [known, open, unknown, missing],
      ['i-cream', 'f-milk', NEW, SKIP],
      [{ id: 'made', name: 'Medlar' }],
    )
    expect(lines).toMatchObject([
      { mass_g: 250, ingredient: 'i-cream', formula: null },
      { mass_g: 250, ingredient: null, formula: 'f-milk' },
      { mass_g: 120.46, ingredient: 'made', formula: null },
    ])
    expect(new Set(lines.map((one) => one.key)).size).toBe(3)
  })

  it('tells one pint from another, and keeps what was said beside', () => {
    const pints = line('1 pint cream', {
      choices: [
        choice('i-cream', 'Cream, 35 %', { mass_g: 473.2, measure: 'US' }),
        choice('i-cream', 'Cream, 35 %', { mass_g: 568.3, measure: 'imperial' }),
      ],
      note: 'about',
    })
    expect(linesOf([pints], ['i-creamimperial'], [])).toMatchObject([
      { mass_g: 568.3, note: 'about' },
    ])
  })

  it('writes a new ingredient once, with a capital', () => {
    expect(newRows(['medlar', 'Medlar', 'wild thyme'])).toEqual([
      { name: 'Medlar' },
      { name: 'Wild thyme' },
    ])
  })
})

describe('PasteLines', () => {
  let asked: string[] = []
  let refuse = false

  beforeEach(() => {
    asked = []
    refuse = false
    serveWith(async (request) => {
      asked.push(request.url.split('/').at(-1) ?? '')
      if (request.url.endsWith('/read-list')) return json(200, [known, unknown, missing])
      if (refuse) return json(422, { detail: 'There is already an ingredient named Medlar.' })
      const { rows } = (await request.json()) as { rows: { name: string }[] }
      return json(
        201,
        rows.map(({ name }) => ingredient('made', name, null)),
      )
    })
  })
  const dialog = () => document.querySelector<HTMLElement>('[role=dialog]')
  const button = () => dialog()?.querySelector<HTMLButtonElement>('button.deed.main')
  async function opened() {
    const wrapper = mounted(PasteLines, { within: 'f-own', start: 'a list' })
    await settled()
    return wrapper
  }

  it('shows what was understood and changes nothing before it is told to', async () => {
    const wrapper = await opened()
    expect(dialog()?.textContent).toContain('no amount')
    expect(button()?.textContent).toContain('Add 2 lines')
    expect(asked).toEqual(['read-list'])
    expect(wrapper.emitted('add')).toBeUndefined()
    wrapper.unmount()
  })

  it('writes what is new first, then adds the lines', async () => {
    const wrapper = await opened()
    button()?.click()
    await settled()
    expect(asked[1]).toBe('many')
    expect(wrapper.emitted('add')).toMatchObject([
      [[{ ingredient: 'i-cream' }, { ingredient: 'made', mass_g: 120.46 }]],
    ])
    wrapper.unmount()
  })

  it('adds nothing when what is new is refused', async () => {
    const wrapper = await opened()
    refuse = true
    button()?.click()
    await settled()
    expect(dialog()?.textContent).toContain('already an ingredient named Medlar')
    expect(wrapper.emitted('add')).toBeUndefined()
    wrapper.unmount()
  })
})
