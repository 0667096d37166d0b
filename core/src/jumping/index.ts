export { CHANGED, jumps, landingLead } from './jumps'
export { fenceDistance, poles, SIXTEEN_HANDS_CM } from './poles'
export { thingsRegister, type Showing } from './register'
export { newThing, reShow, type ThingShown } from './things'
