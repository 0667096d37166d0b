import { addresses } from '../addresses'
import { Device, PutCutOff } from '../devices'
import {
  About,
  FirstRun,
  ListedPerson,
  Me,
  OwnPassword,
  PutPerson,
  PutStanding,
  ResetLink,
  ResetPassword,
  Settings,
  SignIn,
  SignInDemo,
} from '../people'
import { Place, PutPlace } from '../places'
import { Id } from '../primitives'
import { z } from 'zod'
import { nothing, route } from './making'

/** The yard, who is in it, and signing in. */
export const yardRoutes = {
  about: route({ ...addresses.about, summary: 'What runs here', needs: 'open', reply: About }),
  firstRun: route({
    ...addresses.firstRun,
    summary: 'Make the yard and its first person',
    needs: 'open',
    body: FirstRun,
    reply: Me,
  }),
  signIn: route({
    ...addresses.signIn,
    summary: 'Sign in',
    needs: 'open',
    body: SignIn,
    reply: Me,
  }),
  signInDemo: route({
    ...addresses.signInDemo,
    summary: 'Sign in as the demo starter, on a demo server only',
    needs: 'open',
    body: SignInDemo,
    reply: Me,
  }),
  signOut: route({ ...addresses.signOut, summary: 'Sign out', needs: 'open', reply: nothing }),
  toMadeUpYard: route({
    ...addresses.toMadeUpYard,
    summary: 'Go over to a made-up yard beside one’s own, made where there is none',
    needs: 'edit-people',
    reply: Me,
  }),
  toOwnYard: route({
    ...addresses.toOwnYard,
    summary: 'Back from the made-up yard to one’s own',
    needs: 'signed-in',
    reply: Me,
  }),
  me: route({ ...addresses.me, summary: 'Who is signed in', needs: 'signed-in', reply: Me }),
  settings: route({
    ...addresses.settings,
    summary: 'Keep one’s own settings',
    needs: 'own-settings',
    body: Settings,
    reply: Settings,
  }),
  ownPassword: route({
    ...addresses.ownPassword,
    summary: 'Change one’s own password; every other device is signed out',
    needs: 'own-settings',
    body: OwnPassword,
    reply: nothing,
  }),
  devices: route({
    ...addresses.devices,
    summary: 'The browsers people signed in on: a starter sees all, others their own',
    needs: 'own-settings',
    reply: z.object({ devices: z.array(Device) }),
  }),
  putCutOff: route({
    ...addresses.putCutOff,
    summary: 'Cut a device off from the yard, or let it back',
    needs: 'own-settings',
    params: z.object({ personId: Id, deviceId: Id }),
    body: PutCutOff,
    reply: nothing,
  }),
  people: route({
    ...addresses.people,
    summary: 'The people of the yard',
    needs: 'read-yard',
    reply: z.object({ people: z.array(ListedPerson) }),
  }),
  putPerson: route({
    ...addresses.putPerson,
    summary: 'Add a person to the yard, or change their name, part, address or password',
    needs: 'edit-people',
    params: z.object({ personId: Id }),
    body: PutPerson,
    reply: ListedPerson,
  }),
  putStanding: route({
    ...addresses.putStanding,
    summary: 'Suspend a person, remove them, or let them back; what they logged stays',
    needs: 'edit-people',
    params: z.object({ personId: Id }),
    body: PutStanding,
    reply: ListedPerson,
  }),
  resetLink: route({
    ...addresses.resetLink,
    summary: 'Make a link by which a person chooses a new password, once and within a day',
    needs: 'edit-people',
    params: z.object({ personId: Id }),
    reply: ResetLink,
  }),
  resetPassword: route({
    ...addresses.resetPassword,
    summary: 'Choose a new password by a link',
    needs: 'open',
    body: ResetPassword,
    reply: nothing,
  }),
  places: route({
    ...addresses.places,
    summary: 'The pens and tracks of the yard, with what each suits',
    needs: 'read-yard',
    reply: z.object({ places: z.array(Place) }),
  }),
  putPlace: route({
    ...addresses.putPlace,
    summary: 'Add a pen or a track, or change it',
    needs: 'edit-places',
    params: z.object({ placeId: Id }),
    body: PutPlace,
    reply: Place,
  }),
} as const
