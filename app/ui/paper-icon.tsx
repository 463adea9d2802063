/**
 * Stands in for the whole set of icons that Paper asks for (metro.config.js). They say nothing to a screen reader:
 * words do.
 */
import { Icon, type IconName } from './icon';

interface Given {
  readonly name: IconName;
  readonly color: string;
  readonly size: number;
  readonly style?: object;
}

export default function PaperIcon({ name, color, size, style }: Given) {
  return <Icon name={name} color={color} size={size} {...(style ? { style } : {})} aria-hidden />;
}
