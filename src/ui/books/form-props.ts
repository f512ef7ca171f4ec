export interface FormProps<R> {
  readonly record: R;
  readonly onKeep: (record: R) => void;
  readonly onLeave: () => void;
  readonly onRemove?: () => void;
}
