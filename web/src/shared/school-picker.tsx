import { SCHOOLS } from '@still-pine/core/program'
import { Link } from 'react-router'
import { useQuery } from '../app/client'
import { Field, INPUT } from '../ui/field'

interface Props {
  readonly school: string
  readonly onPick: (school: string) => void
}

/** By which school a horse is worked: one that ships, or one of the yard’s own at its newest version. */
export const SchoolPicker = ({ school, onPick }: Props) => {
  const { data } = useQuery('schools')
  const schools = data?.schools ?? SCHOOLS
  return (
    <div>
      <Field label="School" hint="It can be changed later; what was answered stays.">
        {(props) => (
          <select
            className={INPUT}
            value={school}
            onChange={(event) => onPick(event.target.value)}
            {...props}
          >
            {schools.map(({ school: key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Link className="inline-flex min-h-11 items-center underline" to="/yard/schools">
        How the schools differ
      </Link>
    </div>
  )
}
