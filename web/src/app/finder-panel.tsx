import { Command } from 'cmdk'
import { useNavigate } from 'react-router'
import { Sheet } from '../ui/sheet'
import { longDay } from '../shared/words'
import { useQuery } from './client'
import { useChosenHorse } from './use-chosen-horse'

const ITEM =
  'flex min-h-11 cursor-pointer items-center rounded-md px-3 data-[selected=true]:bg-ink data-[selected=true]:text-ground'

const PAGES: readonly (readonly [name: string, path: string])[] = [
  ['Today', '/before'],
  ['Week', '/week'],
  ['Yard', '/yard'],
  ['People', '/yard/people'],
  ['Places', '/yard/places'],
  ['Schools', '/yard/schools'],
  ['Files', '/yard/files'],
  ['Law', '/yard/law'],
  ['Settings', '/yard/settings'],
  ['Practice pen', '/practice'],
  ['How the yard stands', '/yard/reading'],
  ['How well do we judge?', '/yard/judging'],
  ['Import a log or a yard', '/yard/in'],
  ['What is unsent', '/yard/waiting'],
  ['A new horse', '/horses/new'],
]

/** Horses, the chosen horse's steps, sessions by date, pages and people, by a few letters. */
const FinderPanel = ({ onClose }: { onClose: () => void }) => {
  const navigate = useNavigate()
  const horseId = useChosenHorse()
  const { data: today } = useQuery('today')
  const { data: me } = useQuery('me')
  const { data: people } = useQuery('people')
  const chosen = today?.rows.find(({ horse }) => horse.id === horseId)?.horse
  const { data: program } = useQuery('program', { programId: chosen?.programId ?? '' }, { skip: !chosen })
  const { data: sessions } = useQuery('sessions', { horseId: chosen?.id ?? '' }, { skip: !chosen })
  const go = (path: string) => () => {
    onClose()
    void navigate(path)
  }
  return (
    <Sheet open title="Find" onClose={onClose}>
      <Command label="Find a horse, a step, a day or a person">
        <Command.Input
          autoFocus
          placeholder="A horse, a step, a day, a page, a person"
          className="mb-3 min-h-12 w-full rounded-md border-2 border-ink bg-panel px-3 text-lg"
        />
        <Command.List className="max-h-80 overflow-y-auto">
          <Command.Empty className="p-3">Nothing by that name.</Command.Empty>
          <Command.Group heading="Horses">
            {today?.rows.map(({ horse }) => (
              <Command.Item
                key={horse.id}
                value={`${horse.name} ${horse.id}`}
                keywords={[horse.name]}
                className={ITEM}
                onSelect={go(`/horses/${horse.id}`)}
              >
                {horse.name}
              </Command.Item>
            ))}
          </Command.Group>
          {chosen && (
            <Command.Group heading={`Steps of ${chosen.name}`}>
              {program?.program.steps.map(({ key, name }) => (
                <Command.Item
                  key={key}
                  value={`${name} ${key}`}
                  className={ITEM}
                  onSelect={go(`/horses/${chosen.id}/steps/${key}`)}
                >
                  {name}
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {chosen && (
            <Command.Group heading={`Sessions of ${chosen.name}`}>
              {sessions?.sessions.map(({ id, day, personName }) => (
                <Command.Item
                  key={id}
                  value={`${longDay(day)} ${day} ${personName} ${id}`}
                  className={ITEM}
                  onSelect={go(`/after/${chosen.id}?session=${id}`)}
                >
                  {longDay(day)}, {personName}
                </Command.Item>
              ))}
            </Command.Group>
          )}
          <Command.Group heading="Pages">
            {PAGES.map(([name, path]) => (
              <Command.Item key={path} value={`${name} ${path}`} className={ITEM} onSelect={go(path)}>
                {name}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="People">
            {people?.people.map(({ id, name }) => (
              <Command.Item key={id} value={`${name} ${id}`} className={ITEM} onSelect={go('/yard')}>
                {name}
                {id === me?.person.id ? ' (you)' : ''}
              </Command.Item>
            ))}
          </Command.Group>
        </Command.List>
      </Command>
    </Sheet>
  )
}

export default FinderPanel
