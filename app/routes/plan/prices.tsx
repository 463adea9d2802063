import { PricesScreen } from '../../features/plan/prices-screen';

export default PricesScreen;
