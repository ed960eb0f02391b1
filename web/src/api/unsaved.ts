/** What was drawn and is not saved yet, kept over a reload until it is. */

const KEY = 'fernbell.unsaved.'

export interface Unsaved<Entry> {
  revision: number
  data: Entry
}

const place = (kind: string, id: string) => `${KEY}${kind}.${id}`

export function keepUnsaved<Entry>(kind: string, id: string, unsaved: Unsaved<Entry>) {
  try {
    sessionStorage.setItem(place(kind, id), JSON.stringify(unsaved))
  } catch {
    // A full or forbidden store: the draft still lives on the screen.
  }
}

export function dropUnsaved(kind: string, id: string) {
  sessionStorage.removeItem(place(kind, id))
}

export function unsavedOf<Entry>(kind: string, id: string): Unsaved<Entry> | undefined {
  try {
    return JSON.parse(sessionStorage.getItem(place(kind, id)) ?? '') as Unsaved<Entry>
  } catch {
    return undefined
  }
}
