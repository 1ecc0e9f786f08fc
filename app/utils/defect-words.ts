import { OTHER, type DefectKind } from '../../core/defects'
import type { ListedDefect } from '../../contract'
import { causes, defects } from '../../reference'

/** What a kind of defect is called. */
export const defectName = (kind: DefectKind): string => defects.find(row => row.kind === kind)?.name ?? kind

/** How a defect stands. */
export const defectStates: Readonly<Record<ListedDefect['status'], string>> = {
  open: 'Open', mending: 'Being mended', mended: 'Mended', left: 'Left as it is',
}

/** What was judged to have caused a defect. */
export function causeName(id: string): string {
  if (id === OTHER) return 'Something else'
  return id === 'not known' ? 'Not known' : (causes.find(cause => cause.id === id)?.says ?? id)
}

/** How a defect was mended, one way after the other. */
export const mendsWords = (mends: readonly { way: string, failed?: boolean | undefined }[]): string =>
  mends.map(mend => mend.way + (mend.failed ? ' (did not hold)' : '')).join(', then ')
