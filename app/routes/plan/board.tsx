import { BoardScreen } from '../../features/plan/board-screen';

export default BoardScreen;
