import { afterEach, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'

import { ingredient, json, mounted, serveWith, settled } from '../testing/kitchen'
import { useRow, useRows, useWrites } from './shelves'
afterEach(() => vi.unstubAllGlobals())

it('shows a new row even where the list was asked for before it and comes after', async () => {
  const [agar, medlar] = [ingredient('a', 'Agar'), ingredient('m', 'Medlar paste')]
  const late: ((answer: Response) => void)[] = []
  let lists = 0
  serveWith((request) => {
    if (request.method === 'POST') return json(201, medlar)
    lists += 1
    if (lists > 1) return json(200, { items: [agar, medlar], total: 2 })
    return new Promise<Response>((answer) => late.push(answer))
  })
  const Pantry = defineComponent(() => {
    const { rows } = useRows('ingredients')
    const { create } = useWrites('ingredients')
    const add = () => create.mutateAsync({ name: 'Medlar paste' } as never)
    return () => h('button', { onClick: add }, rows.value.map((one) => one.name).join(', '))
  })
  const wrapper = mounted(Pantry)
  await settled()
  await wrapper.get('button').trigger('click')
  await settled()
  late.forEach((answer) => answer(json(200, { items: [agar], total: 1 })))
  await settled()
  expect(wrapper.text()).toBe('Agar, Medlar paste')
})

const AGAR = ingredient('a', 'Agar')

/** A shelf with agar, changed by pressing; the answer to that does not say how it is counted. */
const shelfOfAgar = (change: Partial<typeof AGAR>) => {
  const lists: string[] = []
  serveWith((request) => {
    if (request.method === 'PUT') return json(200, { ...AGAR, ...change, counted: undefined })
    lists.push(request.url)
    return json(200, { items: [{ ...AGAR, counted: 'leaf, 2 g' }], total: 1 })
  })
  const Pantry = defineComponent(() => {
    const { rows } = useRows('ingredients')
    const { change: write } = useWrites('ingredients')
    const press = () => write.mutateAsync({ id: AGAR.id, revision: 1, data: {} as never })
    const says = () => rows.value.map((one) => `${one.name} ${one.weigh_step_g} ${one.counted}`)
    return () => h('button', { onClick: press }, says().join(', '))
  })
  return { wrapper: mounted(Pantry), lists }
}
it('shows a changed row in the list without asking for the list again', async () => {
  const { wrapper, lists } = shelfOfAgar({ weigh_step_g: 0.5 })
  await settled()
  await wrapper.get('button').trigger('click')
  await settled()
  expect(wrapper.text()).toBe('Agar 0.5 leaf, 2 g')
  expect(lists).toHaveLength(1)
})

it('asks for the list again where a row has another name and so another place', async () => {
  const { wrapper, lists } = shelfOfAgar({ name: 'Zest' })
  await settled()
  await wrapper.get('button').trigger('click')
  await settled()
  expect(lists).toHaveLength(2)
})

it('asks anew for a row that names one that was written', async () => {
  const asked: string[] = []
  serveWith((request) => {
    if (request.method === 'PUT') return json(200, { ...AGAR, name: 'Agar-agar' })
    asked.push(new URL(request.url).pathname)
    return json(200, { id: 'f', name: 'Jelly', archived: false, revision: 1, lines: [] })
  })
  const Jelly = defineComponent(() => {
    const row = useRow('formulas', 'f')
    const { change } = useWrites('ingredients')
    const press = () => change.mutateAsync({ id: AGAR.id, revision: 1, data: {} as never })
    return () => h('button', { onClick: press }, row.data.value?.name)
  })
  const wrapper = mounted(Jelly)
  await settled()
  await wrapper.get('button').trigger('click')
  await settled()
  expect(asked).toEqual(['/api/formulas/f', '/api/formulas/f'])
})
