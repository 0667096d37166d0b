import 'fake-indexeddb/auto'
import { expect, it } from 'vitest'
import { saveSchoolDraft, savedSchoolDraft } from './school-drafts'
import { rememberPerson, wipe } from './who'

const DRAFT = { programId: 'p1', edits: [{ do: 'rename', name: 'Lake way' }] }

it('keeps the draft of a school for whoever made it, until it is let go or the person is wiped', async () => {
  await rememberPerson('runa', 'Runa')
  await saveSchoolDraft('lake-way', DRAFT)
  expect(await savedSchoolDraft('lake-way')).toEqual(DRAFT)
  expect(await savedSchoolDraft('other')).toBeNull()
  await rememberPerson('tove', 'Tove')
  expect(await savedSchoolDraft('lake-way')).toBeNull()
  await rememberPerson('runa', 'Runa')
  await saveSchoolDraft('hill-way', DRAFT)
  await saveSchoolDraft('hill-way', { ...DRAFT, edits: [] })
  expect(await savedSchoolDraft('hill-way')).toBeNull()
  await wipe('runa')
  await rememberPerson('runa', 'Runa')
  expect(await savedSchoolDraft('lake-way')).toBeNull()
})
