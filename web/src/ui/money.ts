/** An amount as the studio writes it: €22.00. The amount is a decimal string, as the server keeps it. */
export function money(amount: string, currency: string): string {
    try {
        return new Intl.NumberFormat('en-GB', {
            style: 'currency',
            currency,
            currencyDisplay: 'narrowSymbol',
        }).format(amount as `${number}`);
    } catch {
        // A studio may count in something that no table of currencies knows.
        return `${currency} ${amount}`;
    }
}

/** From low to high; without an upper end it is open. */
export const moneyRange = (price: { low: string; high: string | null }, currency: string): string =>
    price.high === null
        ? `${money(price.low, currency)} and up`
        : `${money(price.low, currency)} to ${money(price.high, currency)}`;
