/** Stands in for the router: links are named texts, and where a screen wants to go is written down. */
import type { ReactNode } from 'react';
import { Text } from 'react-native';

export const went: unknown[] = [];
const go = (href: unknown) => void went.push(href);

export const Slot = () => null;
export const usePathname = () => '/';

export const router = { push: go, replace: go, navigate: go, setParams: go, back: () => go('back') };

export function Link({
  children,
  asChild,
  'aria-label': label,
}: {
  readonly children: ReactNode;
  readonly asChild?: boolean;
  readonly 'aria-label'?: string;
}) {
  return asChild ? (
    children
  ) : (
    <Text role="link" aria-label={label}>
      {children}
    </Text>
  );
}
