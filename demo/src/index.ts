export { historyOf, seededDraw } from './history'
export { DEMO_YARD, demoHorses, type DemoHorse, type Spell } from './scenario'
