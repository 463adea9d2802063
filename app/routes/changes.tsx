export { ChangesScreen as default } from '../features/place/history';
