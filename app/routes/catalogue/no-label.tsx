import { NoLabelScreen } from '../../features/catalogue/no-label-screen';

export default NoLabelScreen;
