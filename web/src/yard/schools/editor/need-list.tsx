import { rungName, type NeedRef, type Program, type Role, type Step } from '@still-pine/core/program'
import { needWords, ROLE_WORDS } from '@still-pine/core/school-edit'
import { Command } from 'cmdk'
import { useState } from 'react'
import { Button } from '../../../ui/button'
import { Sheet } from '../../../ui/sheet'

const ITEM =
  'flex min-h-11 cursor-pointer items-center px-3 data-[selected=true]:bg-ink data-[selected=true]:text-ground'

interface Props {
  readonly title: string
  readonly hint: string
  readonly program: Program
  readonly needs: readonly NeedRef[]
  /** Steps that cannot be asked for here. */
  readonly not?: string
  readonly onAdd: (need: NeedRef) => boolean
  readonly onDrop: (need: NeedRef) => void
}

const RungChoice = ({ step, onPick }: { step: Step; onPick: (need: NeedRef) => void }) => (
  <div className="flex flex-col gap-2">
    <p className="text-lg">{step.name}: to which rung?</p>
    {step.rungs.map((words, i) => {
      const rung = i + 1
      const need = rung === step.requiredRung ? { step: step.key } : { step: step.key, rung }
      return (
        <Button key={words} onClick={() => onPick(need)}>
          {rung} {words}
          {rung === step.requiredRung ? ' (required)' : ''}
        </Button>
      )
    })}
  </div>
)

/** Finds a step or a role by a few letters, then asks for the rung. */
const NeedFinder = ({
  title,
  program,
  not,
  onPick,
  onClose,
}: {
  title: string
  program: Program
  not: string | undefined
  onPick: (need: NeedRef) => void
  onClose: () => void
}) => {
  const [step, setStep] = useState<Step | null>(null)
  return (
    <Sheet open title={title} onClose={onClose}>
      {step ? (
        <RungChoice step={step} onPick={onPick} />
      ) : (
        <Command label="Find a step or a role">
          <Command.Input
            autoFocus
            placeholder="A step, or one way of several"
            className="mb-3 min-h-12 w-full rounded-md border-2 border-ink bg-panel px-3 text-lg"
          />
          <Command.List className="max-h-80 overflow-y-auto">
            <Command.Empty className="p-3">Nothing by that name on this path.</Command.Empty>
            {(Object.entries(ROLE_WORDS) as [Role, string][]).map(([role, words]) => (
              <Command.Item
                key={role}
                value={`${role} ${words}`}
                className={ITEM}
                onSelect={() => onPick({ role })}
              >
                {words}
              </Command.Item>
            ))}
            {program.steps
              .filter(({ key }) => key !== not)
              .map((one) => (
                <Command.Item
                  key={one.key}
                  value={`${one.name} ${one.key}`}
                  keywords={[...one.rungs]}
                  className={ITEM}
                  onSelect={() => setStep(one)}
                >
                  <span>
                    {one.name} <span className="opacity-80">{rungName(one, one.requiredRung)}</span>
                  </span>
                </Command.Item>
              ))}
          </Command.List>
        </Command>
      )}
    </Sheet>
  )
}

/** What must be met first; each can go, and others are found by name. */
export const NeedList = ({ title, hint, program, needs, not, onAdd, onDrop }: Props) => {
  const [isFinding, setFinding] = useState(false)
  return (
    <section>
      <h3 className="text-xl">{title}</h3>
      {needs.length === 0 && <p className="text-quiet">{hint}</p>}
      <ul>
        {needs.map((need) => {
          const words = needWords(program, need)
          return (
            <li
              key={JSON.stringify(need)}
              className="flex items-center justify-between gap-2 border-t border-line"
            >
              <span>{words}</span>
              <Button
                look="quiet"
                className="shrink-0 whitespace-nowrap"
                aria-label={`Remove ${words}`}
                onClick={() => onDrop(need)}
              >
                Remove
              </Button>
            </li>
          )
        })}
      </ul>
      <Button className="mt-1" onClick={() => setFinding(true)}>
        Add one
      </Button>
      {isFinding && (
        <NeedFinder
          title={title}
          program={program}
          not={not}
          onClose={() => setFinding(false)}
          onPick={(need) => {
            if (onAdd(need)) setFinding(false)
          }}
        />
      )}
    </section>
  )
}
