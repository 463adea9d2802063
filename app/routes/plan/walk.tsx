import { WalkScreen } from '../../features/plan/walk-screen';

export default WalkScreen;
