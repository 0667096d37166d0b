import { Link } from 'react-router'
import { useQuery } from '../../app/client'
import { Loading } from '../../shared/loading'
import { YardHeader } from '../yard-header'
import { OwnPasswordForm } from './own-password'
import { SettingsForm } from './settings-form'

/** One's own settings, password and what is kept on this device. */
const SettingsPage = () => {
  const { data: me, error, refetch } = useQuery('me')
  if (!me) return <Loading error={error} retry={() => void refetch()} />
  return (
    <main className="flex flex-col gap-5 px-4 py-3 desk:px-5">
      <YardHeader title="Settings" />
      <p className="text-lg">
        {me.person.name}, {me.person.role}.{' '}
        <Link className="inline-flex min-h-11 items-center underline" to="/yard/waiting">
          What is saved, devices, sign out
        </Link>
      </p>
      <div className="grid gap-8 desk:grid-cols-2">
        <SettingsForm settings={me.person.settings} />
        {!me.yard.demo && <OwnPasswordForm />}
      </div>
    </main>
  )
}

export default SettingsPage
