/** Something wrong with a program, said so that its author can mend it. */
export interface Flaw {
  readonly kind:
    | 'unknown'
    | 'rung'
    | 'circle'
    | 'unreachable'
    | 'duplicate'
    | 'pace'
    | 'order'
    | 'empty'
    | 'law'
    | 'exposure'
  readonly step: string
  readonly words: string
}
