import { knowEveryKind } from '../core/design/everyKind'

// Tests draft bags of every kind, whether they read documents or not.
knowEveryKind()
