import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'

import NumberField from './NumberField.vue'

function field(props: Partial<InstanceType<typeof NumberField>['$props']> = {}) {
  const wrapper = mount(NumberField, {
    props: { label: 'Thickness', value: 10, unit: 'mm', ...props },
  })
  return { wrapper, input: wrapper.get('input') }
}

describe('NumberField', () => {
  it('hands a number on with Enter, once', async () => {
    const { wrapper, input } = field()
    await input.setValue('12,5')
    await input.trigger('keydown', { key: 'Enter', keyCode: 13 })
    await wrapper.setProps({ value: 12.5 })
    await input.trigger('blur')
    expect(wrapper.emitted('commit')).toEqual([[12.5]])
  })

  it('keeps what is no number, says what is wanted, and hands nothing on', async () => {
    const { wrapper, input } = field()
    await input.setValue('thick')
    await input.trigger('blur')
    expect(wrapper.text()).toContain('Thickness must be a number of mm.')
    expect(input.attributes('aria-invalid')).toBe('true')
    expect((input.element as HTMLInputElement).value).toBe('thick')
    expect(wrapper.emitted('commit')).toBeUndefined()
  })

  it('takes nothing for an answer only where that means something', async () => {
    const wanted = field()
    await wanted.input.setValue('')
    await wanted.input.trigger('blur')
    expect(wanted.wrapper.emitted('commit')).toBeUndefined()
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

  it('shows the refusal of the server', () => {
    const { wrapper, input } = field({ error: 'Thickness must be more than 0.' })
    expect(wrapper.text()).toContain('more than 0')
    expect(input.attributes('aria-describedby')).toBeTruthy()
  })
})
