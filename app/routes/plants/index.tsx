export { PlantsLayout as default } from '../../features/plants/plants-layout';
