export { CHANNELS, cueBook, RHYTHMS, sameCue, type Cue, type Tool } from './book'
