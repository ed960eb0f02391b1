/** What was drawn and is not saved yet, kept over a reload until it is. */

const KEY = 'fernbell.unsaved.'

export interface Unsaved<Entry> {
  revision: number
  data: Entry
}

const place = (shelf: string, id: string) => `${KEY}${shelf}.${id}`

export function keepUnsaved<Entry>(shelf: string, id: string, unsaved: Unsaved<Entry>) {
  try {
    sessionStorage.setItem(place(shelf, id), JSON.stringify(unsaved))
  } catch {
    // A full or forbidden store: the draft still lives on the screen.
  }
}

export function dropUnsaved(shelf: string, id: string) {
  sessionStorage.removeItem(place(shelf, id))
}

export function unsavedOf<Entry>(shelf: string, id: string): Unsaved<Entry> | undefined {
  try {
    return JSON.parse(sessionStorage.getItem(place(shelf, id)) ?? '') as Unsaved<Entry>
  } catch {
    return undefined
  }
}
