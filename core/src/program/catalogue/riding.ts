import { stageEntries } from './entry'

const up = stageEntries(7)
const first = stageEntries(8)
const early = stageEntries(9)

export const FIRST_TIME_UP = [
  up('lie-over', 'Lie over', 'accept', 'LR', 'a second · 10 s · led two steps · led the length', {
    needs: 'weight-in-stirrup come-to-block stand',
    exposes: 'girth weight whole-weight',
  }),
  up('foot-in', 'Foot in', 'accept', 'LR', 'foot in, down · half up, seen by both eyes · half up, led', {
    needs: 'lie-over@3',
    exposes: 'girth weight whole-weight',
  }),
  up(
    'sit',
    'Sit',
    'accept',
    '–',
    'a second · still 30 s · rubbed all over · bends both ways · off either side, stands until told',
    { needs: 'foot-in', exposes: 'girth mounted' },
  ),
  up('stand-to-mount', 'Stand to mount', 'hold', 'LR', 'stands at the block · while mounted · until asked', {
    needs: 'come-to-block stand',
    exposes: 'girth@2 mounted@2',
  }),
  up('led-ride', 'Led ride', 'ask', '–', 'four steps · the length · turns · stops from the rider', {
    needs: 'sit stand-to-mount@2',
    exposes: 'girth mounted',
  }),
  up('ride-perimeter-led', 'Led round the edge', 'accept', 'LR', 'led round in hand · led round ridden', {
    needs: 'led-ride@2',
    exposes: 'girth@2 mounted@2',
  }),
]

export const FIRST_RIDES = [
  first('ride-bend', 'Ridden bend', 'ask', 'LR', 'tip · to the boot · and the hind steps over', {
    needs: 'led-ride@3 bend',
    neck: true,
    exposes: 'girth mounted off-lead@3',
  }),
  first(
    'ride-go-stop',
    'Ridden go and stop',
    'ask',
    '–',
    'off the lead, walk · stop from seat · walk trot walk* · steady trot laps',
    { needs: 'ride-bend@2 ride-perimeter-led', exposes: 'girth mounted off-lead' },
  ),
  first(
    'ride-steer',
    'Ridden steering',
    'ask',
    'LR',
    'wide turns to a mark · circles · away from the fence · away from the leg',
    { needs: 'ride-go-stop@2', exposes: 'girth mounted off-lead' },
  ),
  first(
    'ride-perimeter',
    'Ride the edge',
    'accept',
    'LR',
    'walk round · trot round · past the worst corner',
    {
      needs: 'ride-go-stop@2',
      exposes: 'girth mounted off-lead',
    },
  ),
  first(
    'ride-canter',
    'Ridden canter',
    'ask',
    'LR',
    'a few strides · half the school, light seat · a lap, own balance',
    { needs: 'ride-steer@2 ride-go-stop', exposes: 'girth mounted off-lead canter' },
  ),
]

export const EARLY_RIDES = [
  early(
    'ride-contact',
    'Contact',
    'ask',
    'LR',
    'soft hand at walk · trot · off the track with the bend kept',
    { needs: 'ride-steer@2 give-to-bit', exposes: 'girth mounted off-lead bit contact' },
  ),
  early('ride-poles', 'Ridden poles', 'hold', '–', 'one at walk · three at trot · canter pole · raised', {
    needs: 'ride-steer@2 poles',
    exposes: 'girth mounted off-lead canter@3-3 jump@4',
  }),
  early('ride-out', 'Ride out', 'hold', '–', 'with a quiet horse · in front · alone near home · alone', {
    needs: 'ride-perimeter ride-bend ride-steer@2 strange-places@3',
    exposes: 'girth mounted off-lead out alone@3',
  }),
  early(
    'ride-small-fence',
    'Small fence',
    'hold',
    '–',
    'cross-pole from trot · from canter · a filler · two on a line',
    { needs: 'ride-poles ride-canter', exposes: 'girth mounted off-lead jump canter@2' },
  ),
]
