export { seededDraw } from './draw'
export { historyOf } from './history'
export { DEMO_YARD, demoHorses, type DemoHorse, type Spell } from './scenario'
