export { PlaceScreen as default } from '../../features/place/place-screen';
