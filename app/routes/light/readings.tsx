export { ReadingsScreen as default } from '../../features/light/readings-screen';
