/** A phone, upright or on its side; and any window that is as small. The rules of style say the same. */
export const onPhone = '(max-width: 599px), (max-height: 499px)';
