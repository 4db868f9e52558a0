export const round = (value: number, digits = 1) => String(Number(value.toFixed(digits))).replace('-', '−');

export const percent = (share: number) => `${round(share * 100)} %`;
