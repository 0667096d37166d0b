import { HorseForm, type Horse } from '@still-pine/contract'
import { toast } from 'sonner'
import { useMeQuery, usePutHorseMutation, wordsFor } from '../app/api'
import { mayDo } from '@still-pine/contract/rights'
import { SchoolPicker } from '../yard/schools/school-picker'

/** By which school this horse is worked; a change judges every track anew and loses no answer. */
export const SchoolOfHorse = ({ horse }: { horse: Horse }) => {
  const { data: me } = useMeQuery()
  const [putHorse] = usePutHorseMutation()
  if (!me || !mayDo(me.person.role, 'edit-horse')) return null
  const move = async (from: Horse, school: string): Promise<void> => {
    const body = { ...HorseForm.parse(from), version: from.version, school }
    const done = await putHorse({ id: from.id, body })
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
  return (
    <div className="no-print max-w-md">
      <SchoolPicker school={horse.school} onPick={(school) => void move(horse, school)} />
    </div>
  )
}
