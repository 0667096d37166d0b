export { findTroubles } from './find'
export { lacksOf, type Lack, type LackKind } from './lacks'
export { traceTrouble, type LookFirst, type Suspect, type Trace, type TroubleCase } from './trace'
