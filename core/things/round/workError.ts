/** Why a round does not come out on its edge. */
export type WorkError
  = | { readonly code: 'ran-out', readonly made: number, readonly places: number }
    | { readonly code: 'left-over', readonly left: number, readonly places: number }
    | { readonly code: 'no-space', readonly made: number }
    | { readonly code: 'nothing-skipped', readonly made: number }
    | { readonly code: 'nothing-before', readonly made: number }
    | { readonly code: 'no-post', readonly made: number }
    | { readonly code: 'empty' }

/** A work error in a maker's words. */
export function explain(error: WorkError): string {
  switch (error.code) {
    case 'ran-out':
      return `ran out of stitches after stitch ${error.made}: the round below has only ${error.places}`
    case 'left-over':
      return `${error.left} of ${error.places} stitches of the round below left unworked`
    case 'no-space':
      return `no chain space left to work into after stitch ${error.made}`
    case 'nothing-skipped':
      return `nothing was skipped in the round below to reach down to after stitch ${error.made}`
    case 'nothing-before':
      return `no place has been used yet that stitch ${error.made + 1} could share`
    case 'no-post':
      return `the place below stitch ${error.made + 1} has no stem to work around: it is the edge of a chain, a row ` + 'or a floor'
    case 'empty':
      return 'the round makes no stitches'
  }
}
