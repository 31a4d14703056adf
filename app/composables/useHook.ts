import { computed } from 'vue'
import { alikeAfter, aheadOf, upcomingIn } from '~~/core/readers/beats/upcoming'
import { groupAt, madeBy } from '~~/core/readers/beats/position'
import { doneAfter } from '~~/core/readers/beats/size'
import { type BeatSpeech, sayBeats } from '~~/core/readers/beats/words'
import type { Leg } from '~~/core/readers/beats/leg'
import { translate } from '~~/core/things/stitch/translate'
import { capitalised } from '~~/core/readers/words/numbers'
import type { Manner } from '~~/core/readers/words/openingWords'
import { useMake } from '~/stores/make'
import { useSettings } from '~/stores/settings'

/** Texts at the hook: what to do now, what comes then, what must not be missed, and where one is. */
export function useHook() {
  const make = useMake()
  const settings = useSettings()
  const manner = computed<Manner>(() => ({ terms: settings.terms, repeats: settings.repeats }))
  const units = computed(() => make.hand?.plan.units ?? 'cm')
  const told = (text: string) => translate(text, { terms: settings.terms, units: units.value })

  const road = computed(() => make.hand?.road)
  const index = computed(() => make.hand?.at.index ?? 0)
  const leg = computed(() => make.hand?.at.leg)
  const done = computed(() => make.hand?.at.done ?? 0)
  const beats = computed(() => leg.value?.beats() ?? [])
  const to = computed(() => doneAfter(beats.value, done.value, make.size))

  function speech(of: Leg): BeatSpeech {
    return { ...manner.value, units: units.value, start: of.start, across: of.sort === 'row' }
  }

  /** Beats in words; a whole round as the pattern says it. */
  function say(of: Leg, from: number, upTo: number): string {
    const all = of.beats()
    const line = from === 0 && upTo >= all.length ? of.line(manner.value) : undefined
    return line ? line.words : sayBeats(all.slice(from, upTo), speech(of))
  }

  const now = computed(() => (leg.value ? say(leg.value, done.value, to.value) : 'All is done'))
  const then = computed(() => {
    if (!leg.value) return ''
    if (to.value < beats.value.length) return say(leg.value, to.value, doneAfter(beats.value, to.value, make.size))
    const next = road.value?.legs[index.value + 1]
    if (!next) return 'Then all is done'
    return next.worked ? `${next.line(manner.value)!.label}: ${next.line(manner.value)!.words}` : next.title
  })

  /** Which of how many: of a run, of the groups. */
  const counting = computed(() => {
    const beat = beats.value[done.value]
    if (!beat || to.value - done.value >= beats.value.length) return ''
    if (make.size === 'stitch' && beat.of > 1) return `${beat.nth} of ${beat.of}`
    const { nth, of } = groupAt(beats.value, done.value)
    const chains = beat.said.say !== 'opening' && leg.value?.sort === 'start' && beat.of > 1
    return chains ? `up to ${beat.nth} of ${beat.of}` : of > 1 ? `${leg.value?.worked ? 'group' : 'step'} ${nth} of ${of}` : ''
  })

  const coming = computed(() => (road.value ? upcomingIn(road.value, index.value, manner.value) : []))
  /** Warnings still ahead; one within the beats in hand is now. */
  const ahead = computed(() =>
    aheadOf(coming.value, done.value).map((one) => {
      const within = one.at < to.value || (one.at === beats.value.length && to.value >= beats.value.length)
      return { ...one, what: told(one.what), now: within }
    }),
  )
  const alike = computed(() => (road.value && leg.value?.worked ? alikeAfter(road.value, index.value, manner.value) : 0))
  const note = computed(() => leg.value?.line(manner.value)?.note)
  const groups = computed(() => groupAt(beats.value, done.value))
  /** How far round, in groups. */
  const roundDone = computed(() => {
    const { of, nth } = groups.value
    if (beats.value.length === 0) return 0
    if (done.value >= beats.value.length) return of
    const first = beats.value.findIndex(({ group }) => group === nth - 1)
    const inGroup = beats.value.filter(({ group }) => group === nth - 1).length
    return nth - 1 + (done.value - first) / Math.max(1, inGroup)
  })
  const made = computed(() => madeBy(beats.value, done.value))
  const title = computed(() => {
    if (!leg.value) return 'All is done'
    if (leg.value.sort === 'round') return `${capitalised(make.nameOfRound(leg.value.number))} of ${leg.value.of}`
    return leg.value.sort === 'row' ? `Row ${leg.value.number} of ${leg.value.of}` : leg.value.sort === 'start' ? 'The start' : 'Step'
  })
  const part = computed(() => leg.value?.title ?? '')
  const count = computed(() => leg.value?.line(manner.value)?.count ?? '')
  const lead = computed(() => (leg.value?.lead && done.value === 0 ? told(leg.value.lead) : ''))

  /** Where one was, for whoever comes back. */
  const whereWords = computed(() => {
    if (!leg.value) return 'Everything is done.'
    const place = leg.value.worked
      ? leg.value.sort === 'row' ? `row ${leg.value.number} of ${leg.value.title}` : make.nameOfRound(leg.value.number)
      : leg.value.title.toLowerCase()
    const { nth, of } = groups.value
    // Before the first stitch of the bag there is no marker to find; rows have none.
    const marked = leg.value.sort === 'round' && leg.value.worked?.edge.closed && (done.value > 0 || leg.value.number > 1)
    const group = done.value > 0 && of > 1 ? `, group ${nth} of ${of}` : done.value > 0 ? ', begun' : ', at its beginning'
    return `You were in ${place}${group}.${marked ? ' Find the marker.' : ''}`
  })

  return {
    make, manner, told, road, leg, beats, now, then, counting, ahead, coming, alike, note, groups, roundDone, made, title, part,
    count, lead, whereWords, units,
  }
}
