import { knowEveryKind } from '../core/bag/design/everyKind'

knowEveryKind()
