import { afterEach, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'

import { formula, json, mounted, serveWith, settled } from '../testing/kitchen'
import { forgetKnown, know, useKnown } from './known'
import { useWrites } from './shelves'
afterEach(() => {
  vi.unstubAllGlobals()
  forgetKnown()
})

const NAMES: Record<string, string> = { a: 'Amber glaze', b: 'Bay cream' }
/** A dessert that names formulas, on a server that counts which are asked for. */
function dessertOf(...first: string[]) {
  const asked: string[] = []
  const ids = ref(first)
  serveWith((request) => {
    if (request.method === 'PUT') return json(200, { ...formula('a', 'Renamed'), lines: [] })
    const keys = new URL(request.url).searchParams.getAll('ids')
    asked.push(...keys)
    const items = keys.flatMap((id) => (NAMES[id] ? [formula(id, NAMES[id])] : []))
    return json(200, { items, total: items.length })
  })
  const Parts = defineComponent(() => {
    const formulaOf = useKnown('formulas', () => ids.value)
    const { change } = useWrites('formulas')
    const rename = () => change.mutateAsync({ id: 'a', revision: 1, data: {} as never })
    const says = () => ids.value.map((id) => formulaOf(id)?.name ?? '…').join(', ')
    return () => h('button', { onClick: rename }, says())
  })
  return { wrapper: mounted(Parts), ids, asked }
}

it('asks only for what nobody has told yet, and once', async () => {
  know('formulas', [formula('a', 'Amber glaze')])
  const { wrapper, ids, asked } = dessertOf('a', 'b')
  expect(wrapper.text()).toBe('Amber glaze, …')
  await settled()
  expect(wrapper.text()).toBe('Amber glaze, Bay cream')
  ids.value = ['b', 'a', 'b']
  await settled()
  expect(wrapper.text()).toBe('Bay cream, Amber glaze, Bay cream')
  expect(asked).toEqual(['b'])
})

it('goes on without what is not there', async () => {
  const { wrapper, asked } = dessertOf('a', 'gone')
  await settled()
  expect(wrapper.text()).toBe('Amber glaze, …')
  expect(asked).toEqual(['a', 'gone', 'gone'])
})

it('hears of a row that is written here', async () => {
  know('formulas', [formula('a', 'Amber glaze')])
  const { wrapper } = dessertOf('a')
  await wrapper.get('button').trigger('click')
  await settled()
  expect(wrapper.text()).toBe('Renamed')
})
