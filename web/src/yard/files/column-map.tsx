import { LOG_FIELDS, NEEDED_FIELDS, type LogField, type LogMapping } from '@still-pine/core/formats'
import { INPUT } from '../../ui/field'
import type { ReadFile } from '../../threads/log-reader.worker'

interface Props {
  readonly file: ReadFile
  readonly mapping: LogMapping
  readonly onChange: (mapping: LogMapping) => void
}

const withColumn = (mapping: LogMapping, field: LogField, column: string): LogMapping => {
  const { [field]: _gone, ...others } = mapping
  return column === '' ? others : { ...others, [field]: Number(column) }
}

/** Which column of the file is which field of an answer, with what stands in it. */
export const ColumnMap = ({ file, mapping, onChange }: Props) => (
  <table className="w-full max-w-3xl border-collapse">
    <caption className="mb-2 text-left font-name text-lg font-bold">Which column is what</caption>
    <thead className="text-left text-quiet">
      <tr>
        <th scope="col">An answer’s</th>
        <th scope="col">Column of the file</th>
        <th scope="col" className="phone:hidden">
          Begins with
        </th>
      </tr>
    </thead>
    <tbody>
      {(Object.keys(LOG_FIELDS) as LogField[]).map((field) => {
        const column = mapping[field]
        return (
          <tr key={field} className="border-t border-line">
            <th scope="row" className="py-1 pr-3 text-left font-normal">
              <label htmlFor={`column-${field}`}>
                {LOG_FIELDS[field]}
                {NEEDED_FIELDS.includes(field) && <b> (needed)</b>}
              </label>
            </th>
            <td className="py-1 pr-3">
              <select
                id={`column-${field}`}
                className={INPUT}
                value={column ?? ''}
                onChange={(event) => onChange(withColumn(mapping, field, event.target.value))}
              >
                <option value="">not in the file</option>
                {file.header.map((name, i) => (
                  <option key={i} value={i}>
                    {name || `column ${i + 1}`}
                  </option>
                ))}
              </select>
            </td>
            <td className="py-1 text-quiet phone:hidden">
              {column === undefined ? '' : file.samples[column]!.filter(Boolean).join(' · ')}
            </td>
          </tr>
        )
      })}
    </tbody>
  </table>
)
