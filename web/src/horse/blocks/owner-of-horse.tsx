import { toast } from '../../ui/toast'
import { useQuery, useCommand, wordsFor } from '../../app/client'
import { Picker } from '../../shared/pickers'

/** Whose horse it is: they may read its reports, and nothing else. */
export const OwnerOfHorse = ({ horseId }: { horseId: string }) => {
  const { data: people } = useQuery('people')
  const { data } = useQuery('owner', { horseId })
  const [put] = useCommand('putOwner')
  const owners = people?.people.filter(({ role }) => role === 'owner') ?? []
  if (!data || owners.length === 0) return null
  const set = async (personId: string): Promise<void> => {
    const done = await put({ horseId, body: { personId: personId || null } })
    if (done.error) toast.error(wordsFor(done.error))
  }
  return (
    <Picker
      label="Owner, who may read its reports"
      value={data.owner?.id ?? ''}
      onPick={(id) => void set(id)}
    >
      <option value="">nobody here</option>
      {owners.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Picker>
  )
}
