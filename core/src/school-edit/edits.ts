import type { Thresholds } from '../judgement'
import type { CardWords, Exposure, NeedRef, Step, StopRule } from '../program'

/** One change to a school, as its editor makes it; a draft is a school and the edits made to it. */
export type Edit =
  | { readonly do: 'rename'; readonly name: string }
  /** Moves the border at which a phase of an ask ends. */
  | { readonly do: 'pace'; readonly border: number; readonly seconds: number }
  | { readonly do: 'add-step'; readonly step: Step; readonly before: string | null }
  | { readonly do: 'remove-step'; readonly step: string }
  /** To before another step of its stage, or to the end of it. */
  | { readonly do: 'move-step'; readonly step: string; readonly before: string | null }
  | { readonly do: 'name-step'; readonly step: string; readonly name: string }
  | { readonly do: 'add-rung'; readonly step: string; readonly rung: number; readonly words: string }
  | { readonly do: 'remove-rung'; readonly step: string; readonly rung: number }
  | { readonly do: 'move-rung'; readonly step: string; readonly from: number; readonly to: number }
  | { readonly do: 'word-rung'; readonly step: string; readonly rung: number; readonly words: string }
  | { readonly do: 'require-rung'; readonly step: string; readonly rung: number }
  | { readonly do: 'add-need'; readonly step: string; readonly need: NeedRef }
  | { readonly do: 'drop-need'; readonly step: string; readonly need: NeedRef }
  | { readonly do: 'sides'; readonly step: string; readonly sided: boolean }
  | { readonly do: 'all-round'; readonly step: string; readonly allRound: boolean }
  /** The step's own need in the place of the model's; `null` goes back to it. */
  | { readonly do: 'own-need'; readonly step: string; readonly need: Thresholds | null }
  | { readonly do: 'card'; readonly step: string; readonly words: CardWords }
  /** What a rung puts at risk; never less than what ships, or than what its neighbours share. */
  | {
      readonly do: 'expose'
      readonly step: string
      readonly rung: number
      readonly exposures: readonly Exposure[]
    }
  | { readonly do: 'gate-add'; readonly gate: string; readonly list: GateList; readonly need: NeedRef }
  | { readonly do: 'gate-drop'; readonly gate: string; readonly list: GateList; readonly need: NeedRef }
  | { readonly do: 'gate-stop'; readonly gate: string; readonly stop: StopRule; readonly on: boolean }
  | { readonly do: 'gate-months'; readonly gate: string; readonly months: number }
  | { readonly do: 'gate-days'; readonly gate: string; readonly days: number }

/** What a gate asks for: steps that must be Solid, or needs that must be met. */
export type GateList = 'solid' | 'met'
