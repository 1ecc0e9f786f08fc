/** A workshop of this installation: everything in it is its own, and nobody sees anything of another’s. */
export interface WorkshopEntry {
  /** Its name in addresses. */
  id: string
  /** What it is called. */
  name: string
  /** Whose it is: a turner’s own, or the demo’s, which can be begun anew and deleted. */
  kind: 'own' | 'demo'
}

/** The workshops of this installation. */
export interface WorkshopList {
  /** All of them, a turner’s own first. */
  workshops: WorkshopEntry[]
  /** The id of the one that opens where nobody has chosen. */
  opens: string
}
