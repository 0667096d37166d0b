import { STAGES } from '@still-pine/core/program'
import { Loading } from '../shared/loading'
import { HorseHeader } from '../shared/horse-header'
import { SchoolOfHorse } from './school-of-horse'
import { StageRows } from './stage-rows'
import { useHorse } from '../shared/use-horse'

/** The whole path as rows: the same as the Line in words. */
const StepsPage = () => {
  const { line, program, error, retry } = useHorse()
  if (!line || !program) return <Loading error={error} retry={retry} />
  return (
    <main className="flex flex-col gap-6 px-4 py-2 desk:px-5">
      <HorseHeader horse={line.horse} today={line.day} />
      <SchoolOfHorse horse={line.horse} />
      {STAGES.map((name, i) => (
        <section key={name}>
          <h2 className="mb-2 text-2xl">
            {i + 1} {name}
          </h2>
          <StageRows line={line} program={program} stage={i + 1} />
        </section>
      ))}
    </main>
  )
}

export default StepsPage
