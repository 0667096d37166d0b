export { historyOf, seededDraw } from './history'
export { DEMO_YARD, demoHorses, type DemoHorse } from './scenario'
