/** What matters in a plan where the grower has not said. */
import type { HomeFacts, PlanSettings } from '../facts';

const UNSAID: Omit<PlanSettings, 'id' | 'homeId'> = {
  arrangements: 1,
  moves: 'as-it-pays',
  years: 'usual',
  household: [],
  hardening: 'usual',
  curtains: 'may-change',
  humidifiers: 'may-change',
  currency: '',
};

/** What the grower said, or what is usual. */
export const planSettingsOf = ({ home, planSettings }: Pick<HomeFacts, 'home' | 'planSettings'>): PlanSettings =>
  planSettings[0] ?? { ...UNSAID, id: 'plan-settings', homeId: home.id };
