/** The version of the kitchen, as its answers tell it: what others change is asked for anew. */

let known = 0
let changed = () => {}

/** What to do when somebody else has changed something. */
export function whenOthersChange(then: () => void) {
  changed = then
}

/** Another kitchen counts for itself. */
export function forgetVersion() {
  known = 0
}

/** An answer tells the version, and how often what was asked has raised it itself. */
export function hear({ headers }: Response) {
  const told = Number(headers.get('Kitchen-Version') ?? 0)
  const ours = Number(headers.get('Kitchen-Raised') ?? 0)
  if (told <= known) return
  const others = known > 0 && told > known + ours
  known = told
  if (others) changed()
}
