import type { SessionPlan } from '@still-pine/core/plan'
import type { Program } from '@still-pine/core/program'
import { SortableList, SortableRow } from '../../ui/sortable'
import { BurstRow } from '../burst-row'
import { moved, type Arrangement } from '../../shared/arrangement'
import { BurstMenu } from './burst-menu'

interface Props {
  readonly plan: SessionPlan
  readonly program: Program
  readonly arrangement: Arrangement
  readonly change: (patch: Partial<Arrangement>) => void
  /** The burst whose reasons stand open, counted from 0. */
  readonly chosen: number
  readonly choose: (at: number) => void
}

/** The bursts in their order, to be dragged, kept, shortened, swapped or left out. */
export const PlanList = ({ plan, program, arrangement, change, chosen, choose }: Props) => {
  const { wishes } = arrangement
  const ids = plan.bursts.map(({ step }, i) => `${step} ${i}`)
  return (
    <SortableList
      label="Bursts"
      ids={ids}
      onMove={(from, to) => change({ wishes: moved(plan.bursts, wishes, { from, to }) })}
    >
      {plan.bursts.map((burst, i) => (
        <SortableRow
          key={ids[i]}
          id={ids[i]!}
          name={`${burst.name}, burst ${i + 1}`}
          className="border-t border-line"
        >
          <BurstRow
            burst={burst}
            number={i + 1}
            program={program}
            isOpen={i === chosen}
            open={() => choose(i)}
          />
          <BurstMenu
            plan={plan}
            wishes={wishes}
            at={i}
            burst={burst}
            onWish={(wishes) => change({ wishes })}
          />
        </SortableRow>
      ))}
    </SortableList>
  )
}
