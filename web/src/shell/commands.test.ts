import { afterEach, describe, expect, it } from 'vitest'
import { effectScope, type EffectScope } from 'vue'

import { allCommands, type Command, commandFor, useCommands } from './commands'

let scopes: EffectScope[] = []
function offer(...commands: Command[]) {
  const scope = effectScope()
  scope.run(() => useCommands(() => commands))
  scopes.push(scope)
  return scope
}
afterEach(() => {
  scopes.forEach((one) => one.stop())
  scopes = []
  document.body.innerHTML = ''
})
const done: string[] = []
const turn: Command = { name: 'Turn over', keys: 't', run: () => done.push('turned') }

function pressed(key: string, more: KeyboardEventInit = {}, on: Element = document.body) {
  let found: Command | undefined
  const listen = (event: Event) => (found = commandFor(event as KeyboardEvent))
  window.addEventListener('keydown', listen)
  on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...more }))
  window.removeEventListener('keydown', listen)
  return found
}

describe('commands', () => {
  it('are there as long as their screen', () => {
    const scope = offer(turn)
    expect(allCommands.value.map((one) => one.name)).toEqual(['Turn over'])
    scope.stop()
    expect(allCommands.value).toEqual([])
  })

  it('are found by their key', () => {
    offer(turn)
    expect(pressed('t')?.name).toBe('Turn over')
    expect(pressed('x')).toBeUndefined()
  })

  it('leave keys with a modifier to others', () => {
    offer(turn)
    for (const more of [{ ctrlKey: true }, { metaKey: true }, { altKey: true }]) {
      expect(pressed('t', more)).toBeUndefined()
    }
  })

  it('stay out of what one types into, and out of a dialog over the screen', () => {
    offer(turn)
    const field = document.body.appendChild(document.createElement('input'))
    expect(pressed('t', {}, field)).toBeUndefined()
    const dialog = document.body.appendChild(document.createElement('div'))
    dialog.className = 'ant-modal-wrap'
    expect(pressed('t')).toBeUndefined()
    dialog.style.display = 'none'
    expect(pressed('t')?.name).toBe('Turn over')
  })

  it('are only listed where the screen listens itself', () => {
    offer({ ...turn, keys: 'z', listens: false })
    expect(pressed('z')).toBeUndefined()
    expect(allCommands.value).toHaveLength(1)
  })
})
