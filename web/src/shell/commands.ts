/** What can be done from where one is: each screen adds its own while it is open. */
import { computed, onScopeDispose, shallowRef, toValue } from 'vue'

export interface Command {
  name: string
  /** The key that does it: one letter, or words such as 'Ctrl Z'. */
  keys?: string
  /** Whether that letter is listened for here; otherwise the screen itself does. */
  listens?: boolean
  run: () => unknown
}

const sources = shallowRef<(() => Command[])[]>([])

/** Offer commands while the component is there. */
export function useCommands(commands: () => Command[]) {
  sources.value = [...sources.value, commands]
  onScopeDispose(() => {
    sources.value = sources.value.filter((one) => one !== commands)
  })
}

export const allCommands = computed(() => sources.value.flatMap((one) => toValue(one)))

/** Undo and redo as commands; their keys are listened for where the steps are. */
export function undoCommands(
  { undo, redo }: { undo: () => void; redo: () => void },
  disabled: boolean,
): Command[] {
  if (disabled) return []
  return [
    { name: 'Undo', keys: 'Ctrl Z', run: undo, listens: false },
    { name: 'Redo', keys: 'Ctrl Shift Z', run: redo, listens: false },
  ]
}

const TYPING = 'input, textarea, select, [contenteditable], [role="combobox"]'

/** Whether a key belongs to what has the focus, or to a dialog over the screen. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  if (target?.closest?.(TYPING)) return true
  return Boolean(document.querySelector('.ant-modal-wrap:not([style*="display: none"])'))
}

/** The command a plain key stands for. */
export function commandFor(event: KeyboardEvent): Command | undefined {
  if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return undefined
  return allCommands.value.find((one) => one.keys === event.key && one.listens !== false)
}
