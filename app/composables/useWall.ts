import { computed } from 'vue'
import { MOST_BANDS } from '~~/core/design/bounds'
import type { Design } from '~~/core/design/design'
import type { Writable } from '~~/core/design/edit'
import type { WallSpec } from '~~/core/wall/wall'
import { useBench } from '~/stores/bench'
import { firstRepeat, kindOf, ofKind } from './wallKinds'

type WritableWall = Writable<Design>['wall']

/** A copy that a draft of an edit may own: what comes from the document is frozen. */
function copied(spec: WallSpec): WritableWall[number] {
  return JSON.parse(JSON.stringify(spec)) as WritableWall[number]
}

/** What can be done with the stack of a wall's parts; each is one edit. */
export function useWall() {
  const bench = useBench()
  const wall = computed(() => bench.design!.wall)
  const full = computed(() => wall.value.length >= MOST_BANDS)
  const select = (index: number) => void (bench.selected = index >= 0 && index < wall.value.length ? `wall.${index}` : 'bag')

  function insert(at: number, spec: WallSpec, label: string): void {
    bench.edit(label, design => void design.wall.splice(at, 0, copied(spec)))
    select(at)
  }

  /** A new plain band on top of one, or on top of all. */
  function addAbove(index = wall.value.length - 1): void {
    const below = wall.value[index]
    const plain: WallSpec = { band: 'solid', stitch: 'sc', size: { want: { heightCm: below ? 6 : 12 } }, colour: below?.colour ?? bench.design!.base.colour }
    insert(index + 1, plain, 'Add a band')
  }

  /** Slots with handles over them, on top of all: the kind that most makers start from. */
  function addHandles(): void {
    const top = bench.draft!.parts.at(-1)!
    const below: WallSpec = wall.value.at(-1) ?? { band: 'solid', stitch: 'sc', size: { want: { heightCm: 6 } }, colour: bench.design!.base.colour }
    insert(wall.value.length, ofKind('slots', below, bench.design!, top.size.circumference.cm), 'Add handles')
  }

  function duplicate(index: number): void {
    insert(index + 1, wall.value[index]!, 'Double a band')
  }

  function remove(index: number): void {
    bench.edit('Remove a band', design => void design.wall.splice(index, 1))
    select(Math.min(index, wall.value.length - 1))
  }

  function move(from: number, to: number): void {
    if (to < 0 || to >= wall.value.length || from === to) return
    bench.edit('Move a band', (design) => {
      const [moved] = design.wall.splice(from, 1)
      design.wall.splice(to, 0, moved!)
    })
    select(to)
  }

  /** Makes a part one of another kind. */
  function turnInto(index: number, band: WallSpec['band']): void {
    const below = bench.draft!.parts.find(({ id }) => id === (index > 0 ? `wall.${index - 1}` : 'turnUp')) ?? bench.draft!.parts[0]!
    bench.edit(`Band: ${kindOf(band).name}`, (design) => {
      if (band === 'own' && design.repeats.length === 0) design.repeats.push(JSON.parse(JSON.stringify(firstRepeat('own-1'))) as Writable<Design>['repeats'][number])
      design.wall[index] = copied(ofKind(band, wall.value[index]!, bench.design!, below.size.circumference.cm))
    })
  }

  return { wall, full, select, insert, addAbove, addHandles, duplicate, remove, move, turnInto }
}
