/** The plan of the room that a spot lies in, with that spot marked; another one on it can be chosen. */
import type { HomeFacts } from '@dulvan/core';
import { Fitted } from '../ui/fitted';
import { RoomPlan } from './room-plan';
import { useFits } from './use-fits';
import { useSpotLight } from './use-spot-light';

interface Given {
  readonly facts: HomeFacts;
  readonly spotId: string;
  readonly month: number;
  readonly onSpot: (spotId: string) => void;
}

export function SpotPlan({ facts, spotId, month, onSpot }: Given) {
  const fits = useFits(facts, month);
  const dliAt = useSpotLight(month);
  const spot = facts.spots.find(({ id }) => id === spotId);
  const tier = facts.tiers.find(({ id }) => id === spot?.tierId);
  const stand = facts.stands.find(({ id }) => id === tier?.standId);
  const room = facts.rooms.find(({ id }) => id === stand?.roomId);
  if (!room) return null;
  return (
    <Fitted minHeight={180}>
      {(width) => (
        <RoomPlan
          facts={facts}
          room={room}
          month={month}
          wash={null}
          width={width}
          fits={fits}
          dliAt={dliAt}
          chosenSpotId={spotId}
          onSpot={onSpot}
        />
      )}
    </Fitted>
  );
}
