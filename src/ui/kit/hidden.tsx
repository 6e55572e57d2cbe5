export { VisuallyHidden } from 'radix-ui';
