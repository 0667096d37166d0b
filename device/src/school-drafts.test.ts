import 'fake-indexeddb/auto'
import { expect, it } from 'vitest'
import { keepSchoolDraft, keptSchoolDraft } from './school-drafts'
import { rememberPerson, wipe } from './who'

const DRAFT = { programId: 'p1', edits: [{ do: 'rename', name: 'Lake way' }] }

it('keeps the draft of a school for whoever made it, until it is let go or the person is wiped', async () => {
  await rememberPerson('runa', 'Runa')
  await keepSchoolDraft('lake-way', DRAFT)
  expect(await keptSchoolDraft('lake-way')).toEqual(DRAFT)
  expect(await keptSchoolDraft('other')).toBeNull()
  await rememberPerson('tove', 'Tove')
  expect(await keptSchoolDraft('lake-way')).toBeNull()
  await rememberPerson('runa', 'Runa')
  await keepSchoolDraft('hill-way', DRAFT)
  await keepSchoolDraft('hill-way', { ...DRAFT, edits: [] })
  expect(await keptSchoolDraft('hill-way')).toBeNull()
  await wipe('runa')
  await rememberPerson('runa', 'Runa')
  expect(await keptSchoolDraft('lake-way')).toBeNull()
})
