import { WhatIfScreen } from '../../features/plan/what-if-screen';

export default WhatIfScreen;
