import { stageEntries } from './entry'

const step = stageEntries(3)

export const THINGS = [
  step(
    'rope-over',
    'Rope over',
    'accept',
    'LR',
    'laid · tossed over the back · wiggled · swung* · round all four legs',
    { needs: 'halter-on@2', allRound: true },
  ),
  step(
    'flag',
    'Flag',
    'accept',
    'LR',
    'rolled small, still · stroked with it · half open, moving · full, moving and sounding* · full, while the horse trots',
    { needs: 'rope-over@2', allRound: true },
  ),
  step(
    'stick-string',
    'Stick and string',
    'accept',
    'LR',
    'stroked · laid over · swung beside · hits the ground* · overhead figure · while led',
    { needs: 'rope-over@2', allRound: true },
  ),
  step(
    'ground-sheet',
    'Ground sheet',
    'ask',
    '–',
    'looks · one foot · stands · walks over* · dragged alongside',
    { needs: 'lead-up@3' },
  ),
  step('person-moves', 'Person moves', 'accept', 'LR', 'raises arms · hops in place · jumps, coat rustling', {
    needs: 'rope-over@2',
    allRound: true,
  }),
  step(
    'person-above',
    'Person above',
    'accept',
    'LR',
    'stands on a block · on the fence · leans over · rubs both sides',
    { needs: 'person-moves@2' },
  ),
  step('over-from-fence', 'Over from the fence', 'accept', 'LR', 'leg over · weight a second · off', {
    needs: 'person-above stand@3 come-to-block@2',
    exposes: 'weight whole-weight mounted@2',
  }),
  step(
    'girth-rope',
    'Girth rope',
    'accept',
    'LR',
    'laid · drawn snug and let go · held 10 s · walked with it snug',
    { needs: 'rope-over@3' },
  ),
  step(
    'pad-blanket',
    'Pad and blanket',
    'accept',
    'LR',
    'shown · rubbed · on and off · flapped · worn at a walk',
    { needs: 'rope-over@3' },
  ),
  step(
    'strange-places',
    'Strange places',
    'accept',
    '–',
    'vehicle standing · vehicle moving · water tray · poultry, dogs · alone out of sight',
    { needs: 'lead-up@3', exposes: 'away@4' },
  ),
]
