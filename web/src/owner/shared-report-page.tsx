import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { problemOf, useCommand, wordsFor } from '../app/client'
import { ReportSheet } from '../shared/report-sheet'
import { Button } from '../ui/button'
import { Notice } from '../ui/field'
import { TextField } from '../ui/inputs'

/** The report of a horse for whoever was given a link and its code: no sign-in, and nothing else of the yard. */
const SharedReportPage = () => {
  const [read, { data, error, isLoading }] = useCommand('readReport')
  const [token] = useState(() => window.location.hash.slice(1))
  const { register, handleSubmit, getValues } = useForm({ defaultValues: { code: '' } })
  if (data)
    return (
      <main className="mx-auto flex max-w-5xl flex-col gap-4 px-4 py-4">
        <div className="flex flex-wrap items-baseline justify-between gap-3 border-b-2 border-ink pb-2">
          <h1 className="text-3xl">{data.horseName}</h1>
          <p className="text-quiet">{data.yardName}</p>
        </div>
        <div className="no-print flex gap-3">
          <Button className="phone:hidden" onClick={() => window.print()}>
            Print
          </Button>
          <form method="post" action="/api/v1/shared-report/pdf" target="_blank">
            <input type="hidden" name="token" value={token} />
            <input type="hidden" name="code" value={getValues('code')} />
            <Button type="submit">As a PDF</Button>
          </form>
        </div>
        <ReportSheet
          report={data.report}
          urlOf={(id) => {
            const jpeg = data.pictures[id]
            return jpeg === undefined ? undefined : `data:image/jpeg;base64,${jpeg}`
          }}
        />
      </main>
    )
  return (
    <main className="mx-auto flex max-w-md flex-col gap-6 px-4 py-10">
      <h1 className="text-3xl">The report of a horse</h1>
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => void handleSubmit(({ code }) => read({ body: { token, code } }))(event)}
      >
        <TextField
          label="Its code"
          hint="Six digits, told to you apart from the link."
          inputMode="numeric"
          autoComplete="one-time-code"
          error={problemOf(error)?.fields?.[0]?.message}
          {...register('code')}
        />
        <Button look="act" type="submit" className="min-h-14 text-xl" disabled={isLoading}>
          Read it
        </Button>
      </form>
      {error !== undefined && !problemOf(error)?.fields && <Notice tone="stop">{wordsFor(error)}</Notice>}
    </main>
  )
}

export default SharedReportPage
