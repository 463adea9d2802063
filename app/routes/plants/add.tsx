export { AddPlantScreen as default } from '../../features/plants/add-plant-screen';
