import { CompareScreen } from '../../features/plan/compare-screen';

export default CompareScreen;
