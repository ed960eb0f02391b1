import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import { json, serveWith, settled } from '../testing/kitchen'
import NumberField from './NumberField.vue'

function field(props: Partial<InstanceType<typeof NumberField>['$props']> = {}) {
  const wrapper = mount(NumberField, {
    props: { label: 'Thickness', value: 10, unit: 'mm', ...props },
  })
  return { wrapper, input: wrapper.get('input') }
}
let asked: object[] = []
beforeEach(() => {
  asked = []
  serveWith(async (request) => {
    const body = (await request.json()) as { text: string }
    asked.push(body)
    if (body.text === '1/2"') return json(200, { value: 12.7 })
    return json(422, { detail: 'Value must be a length, such as 12 mm, not ‘thick’.' })
  })
})
afterEach(() => vi.unstubAllGlobals())

describe('NumberField', () => {
  it('hands a number on with Enter, once', async () => {
    const { wrapper, input } = field()
    await input.setValue('12,5')
    await input.trigger('keydown', { key: 'Enter', keyCode: 13 })
    await wrapper.setProps({ value: 12.5 })
    await input.trigger('blur')
    expect(wrapper.emitted('commit')).toEqual([[12.5]])
    expect(asked).toEqual([])
  })

  it('lets the server read fractions and other units', async () => {
    const { wrapper, input } = field()
    await input.setValue('1/2"')
    await input.trigger('blur')
    await settled()
    expect(asked).toEqual([{ text: '1/2"', kept: 'mm', shown: 'mm' }])
    expect(wrapper.emitted('commit')).toEqual([[12.7]])
  })

  it.each(['thick', '1,200'])('keeps %j, says what is wanted of the label', async (typed) => {
    const { wrapper, input } = field()
    await input.setValue(typed)
    await input.trigger('blur')
    await settled()
    expect(wrapper.text()).toContain('Thickness must be a length')
    expect(input.attributes('aria-invalid')).toBe('true')
    expect((input.element as HTMLInputElement).value).toBe(typed)
    expect(wrapper.emitted('commit')).toBeUndefined()
  })

  it('takes nothing for an answer only where that means something', async () => {
    const wanted = field()
    await wanted.input.setValue('')
    await wanted.input.trigger('blur')
    expect(wanted.wrapper.emitted('commit')).toBeUndefined()
    expect(wanted.wrapper.text()).toContain('Thickness must be a number of mm.')
    const optional = field({ optional: true })
    await optional.input.setValue('')
    await optional.input.trigger('blur')
    expect(optional.wrapper.emitted('commit')).toEqual([[null]])
  })

  it('is nudged by the arrow keys, ten times as far with Shift', async () => {
    const { wrapper, input } = field({ step: 0.5 })
    await input.trigger('keydown', { key: 'ArrowUp' })
    await wrapper.setProps({ value: 10.5 })
    await input.trigger('keydown', { key: 'ArrowDown', shiftKey: true })
    expect(wrapper.emitted('commit')).toEqual([[10.5], [5.5]])
  })

  it('shows the refusal of the server by the name the field has on the screen', () => {
    const { wrapper, input } = field({ error: 'Height must be more than 0 mm, not -1.' })
    expect(wrapper.text()).toContain('Thickness must be more than 0 mm')
    expect(input.attributes('aria-describedby')).toBeTruthy()
  })
})
