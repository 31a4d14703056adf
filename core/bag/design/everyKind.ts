import { knowForms } from '../../parts/base/base'
import { BASE_FORMS } from '../../parts/base/forms'
import { WALL_KINDS } from '../../parts/wall/kinds'
import { knowParts } from '../../parts/wall/wall'

/** Makes every form of base and every kind of part known. Whatever reads documents does this, since they may be of any kind. */
export function knowEveryKind(): void {
  knowForms(BASE_FORMS)
  knowParts(WALL_KINDS)
}
