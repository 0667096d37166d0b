import { card, type StepCard } from './card'

const RIDER = ['helmet', 'body protector', 'boots with a heel', 'helper']
const SECOND = 'A second person is there. Helmet on, body protector on.'

export const RIDING_CARDS: Record<string, StepCard> = {
  'lie-over': card(
    'The first weight across its back, which can slide off.',
    'It stands, looks round and breathes.',
    ['Humps → off at once, hand pressure again.', 'Walks off → off, back to the block.'],
    RIDER,
    [SECOND],
  ),
  'foot-in': card(
    'It sees you from both eyes before you are up.',
    'It stays square while you stand in the stirrup.',
    ['Steps off → down, square it, again.', 'Turns its head away → be seen from both sides.'],
    RIDER,
    [SECOND],
  ),
  sit: card(
    'Sit for a second and get down; nothing else.',
    'Still under you, soft neck to both sides.',
    ['Tight back → down after a pause, rub.', 'Moves off → bend it, wait, down.'],
    RIDER,
    [SECOND, 'Get down after a pause and stay by the shoulder.'],
  ),
  'stand-to-mount': card(
    'Nothing starts until you are ready.',
    'Four feet still until asked.',
    ['Walks on → put it back, get up again.', 'Swings its hip → bring it in from the block.'],
    RIDER,
    [SECOND],
  ),
  'led-ride': card(
    'The helper leads, you ride, and bit by bit it is you who asks.',
    'Quiet steps, stops with a breath.',
    ['Looks only to the helper → the helper goes quiet.', 'Rushes → a stop every four steps.'],
    RIDER,
    [SECOND, 'Line on the halter under the bridle, never on the bit.'],
  ),
  'ride-perimeter-led': card(
    'It sees every corner with someone at its head first.',
    'Walks the edge with a low neck.',
    ['Hangs to the gate → stop and rest away from it.', 'Spooks → in hand again, same corner.'],
    RIDER,
    [SECOND],
  ),
  'ride-bend': card(
    'One rein, soft, is the brake you can trust.',
    'The nose comes to the boot, the hind steps over and it stops.',
    ['Braces → from a stand.', 'Spins → give earlier.'],
    RIDER,
    [SECOND],
  ),
  'ride-go-stop': card(
    'You start and stop it, not the helper.',
    'Off from a light leg, back from the seat.',
    ['Sticks → the ground cue with the leg, once or twice.', 'Runs on → one rein.'],
    RIDER,
    [SECOND, 'The helper stays in the pen.'],
  ),
  'ride-steer': card(
    'It looks where you look.',
    'Wide turns from an open rein.',
    ['Falls out → wider.', 'Leans in → straight, begin again.'],
    RIDER,
    [SECOND],
  ),
  'ride-perimeter': card(
    'The edge alone, past the worst corner.',
    'Keeps its pace.',
    ['Stops → let it look.', 'Spins → one rein, walk on.'],
    RIDER,
    [SECOND],
  ),
  'ride-canter': card(
    'A few strides, light in the seat.',
    'It strikes off easily and comes back.',
    ['Bucks → more trot first.', 'Runs → back to trot, wait.'],
    RIDER,
    [SECOND, 'Not before its age and its ground work allow.'],
  ),
  'ride-contact': card(
    'A hand it can trust.',
    'The nose reaches to the hand.',
    ['Hides → leg, soft hand.', 'Leans → give.'],
    RIDER,
    ['Short spells.'],
  ),
  'ride-poles': card(
    'Feet first, under a rider.',
    'Even steps over the pole.',
    ['Rushes → walk.', 'Stops → lead from a horse.'],
    RIDER,
    ['Pegged poles.'],
  ),
  'ride-out': card(
    'The world, with company.',
    'Goes past, looks and goes on.',
    ['Stops → the quiet horse goes first.', 'Jogs → turn home late, not early.'],
    [...RIDER, 'phone'],
    ['Company for the first. Say where you go and when you will be back.'],
  ),
  'ride-small-fence': card(
    'One small jump and enough.',
    'Straight, quiet and on.',
    ['Rushes → poles again.', 'Stops → lower.'],
    RIDER,
    ['Poles at trot and canter must be ordinary first.', 'Stop after the first good one.'],
  ),
}
