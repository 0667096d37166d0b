import { HorseForm, type Horse } from '@still-pine/contract'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from '../ui/toast'
import { useQuery, useCommand, wordsFor } from '../app/client'
import { mayDo } from '@still-pine/contract/rights'
import { Button } from '../ui/button'
import { SchoolPicker } from '../shared/school-picker'

/** By which school this horse is worked; a change judges every track anew and loses no answer. */
export const SchoolOfHorse = ({ horse }: { horse: Horse }) => {
  const { data: me } = useQuery('me')
  const [putHorse] = useCommand('putHorse')
  const { data } = useQuery('schools')
  const navigate = useNavigate()
  const [chosen, setChosen] = useState<string | null>(null)
  if (!me || !mayDo(me.person.role, 'edit-horse')) return null
  const move = async (from: Horse, school: string): Promise<void> => {
    const body = { ...HorseForm.parse(from), version: from.version, school }
    const done = await putHorse({ horseId: from.id, body })
    if (done.error) {
      toast.error(wordsFor(done.error))
      return
    }
    const now = done.data
    toast(
      `${now.name} is worked by ${now.schoolName} now. Its answers stay, and are judged by the new path.`,
      {
        action: { label: 'Undo', onClick: () => void move(now, from.school) },
      },
    )
  }
  /** A school of one’s own may have changed any ladder: what that does is shown before it is done. */
  const pick = (key: string): void => {
    const own = data?.schools.find(({ school, ships }) => school === key && !ships)
    const newest = own?.versions[0]
    if (newest) void navigate(`/horses/${horse.id}/move-over?to=${newest.programId}`)
    else void move(horse, key)
  }
  return (
    <div className="no-print flex max-w-md flex-col gap-3">
      <SchoolPicker school={chosen ?? horse.school} onPick={setChosen} />
      {chosen !== null && chosen !== horse.school && (
        <div className="flex flex-col gap-2 border-l-8 border-act bg-panel px-3 py-2">
          <p>
            Its answers stay, and are judged by the other path: what holds, what is asked next and its gates
            may change.
          </p>
          <div className="flex flex-wrap gap-2">
            <Button
              look="act"
              onClick={() => {
                setChosen(null)
                pick(chosen)
              }}
            >
              Work it by this school
            </Button>
            <Button onClick={() => setChosen(null)}>Cancel</Button>
          </div>
        </div>
      )}
    </div>
  )
}
