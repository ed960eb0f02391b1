import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'

import { finding, working } from '../testing/kitchen'
import FindingCard from './FindingCard.vue'
import { lookOf, patternId } from './flavors'
import WorkedFigure from './WorkedFigure.vue'
import { useWorking } from './working'
import WorkingSteps from './WorkingSteps.vue'

const { open, close } = useWorking()
beforeEach(close)

describe('WorkedFigure', () => {
  it('shows value and unit and opens its working', async () => {
    const mass = working('Quince to make', 1365.9)
    const figure = mount(WorkedFigure, { props: { working: mass } })
    expect(figure.text()).toBe('1\u202f366g')
    await figure.get('button').trigger('click')
    expect(open.value).toBe(mass)
  })

  it('says that a figure is unknown, and opens nothing', () => {
    const figure = mount(WorkedFigure, { props: { working: null } })
    expect(figure.text()).toBe('unknown')
    expect(figure.find('button').exists()).toBe(false)
  })

  it('can be told how to print the figure', () => {
    const length = working('Strip', 3829.9, 'mm')
    const figure = mount(WorkedFigure, { props: { working: length, text: '3.83', unit: 'm' } })
    expect(figure.text()).toBe('3.83m')
  })
})

describe('WorkingSteps', () => {
  it('shows inputs, rule, arithmetic and source, and the workings of its inputs', () => {
    const volume = working('Volume', 201.06, 'ml', { arithmetic: 'π/4 × 160² × 10 / 1 000' })
    const text = mount(WorkingSteps, {
      props: { working: working('Quince in one dessert', 227.6, 'g', { steps: [volume] }) },
    }).text()
    for (const said of [
      'Quince in one dessert',
      '227.6',
      'mass = volume × density',
      'Source: mass balance, exact',
      '201.1 ml',
      'π/4 × 160² × 10 / 1 000',
    ]) {
      expect(text).toContain(said)
    }
  })
})

describe('FindingCard', () => {
  it('says what, what to do, why and from where', () => {
    const card = mount(FindingCard, { props: { finding: finding('heart', 'caution') } })
    for (const said of ['Take care', '5 mm from the wall', '160 mm', 'shows through', 'practice']) {
      expect(card.text()).toContain(said)
    }
  })

  it('tells how bad it is in words, not only in color', () => {
    const words = (['wrong', 'caution', 'note'] as const).map((severity) =>
      mount(FindingCard, { props: { finding: finding(null, severity) } })
        .get('.level')
        .text(),
    )
    expect(new Set(words).size).toBe(3)
  })

  it('is chosen by its message', async () => {
    const card = mount(FindingCard, { props: { finding: finding('heart', 'wrong') } })
    await card.get('button').trigger('click')
    expect(card.emitted('choose')).toHaveLength(1)
  })
})

describe('looks', () => {
  it('gives every kind a texture and the unknown a neutral, smooth one', () => {
    expect(lookOf({ flavor: 'quince', kind: 'fruit' })).toEqual({
      color: '#d9693c',
      texture: 'set',
    })
    expect(lookOf({ flavor: 'moon', kind: 'dust' })).toEqual(lookOf())
    expect(patternId(lookOf())).toMatch(/^pattern-smooth-[0-9a-f]{6}$/)
  })
})
