import { PlanScreen } from '../../features/plan/plan-screen';

export default PlanScreen;
