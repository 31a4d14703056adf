import { knowEveryKind } from '../core/design/everyKind'

knowEveryKind()
