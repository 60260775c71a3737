<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Ordotype\Core\Foundation\PerCent;
use Ordotype\Core\Studio\QuoteEnd;
use Ordotype\Core\Studio\QuotesSetting;

/**
 * The studio's own figures: one row.
 *
 * @property int $id
 * @property string $name empty until somebody gave one
 * @property string $hourly_rate
 * @property string $currency  ISO 4217
 * @property string|null $address  that links begin with; null: where the page is
 * @property string|null $paper_head  lines under the name on papers
 * @property string|null $mark  SHA-256 of a picture that is kept
 * @property string $time_zone by its name in the tz database
 * @property list<string> $second_factor_roles who must have one
 * @property QuotesSetting $quotes whether an order goes out as a quote first
 * @property bool $wants_received whether models are there before they go to the bench
 * @property int $claim_days after delivery, until an order is closed by itself
 * @property QuoteEnd $quote_end what a client is told of the money
 * @property int $quote_days so long a quote holds
 * @property string $mark_up on cost, in per cent
 * @property string $overhead of minutes and paint, in per cent
 * @property string|null $tax_rate on painting, in per cent; null: none
 * @property bool $tax_included prices are said with tax
 */
final class Studio extends Model
{
    protected $table = 'studio';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** What can be set. */
    public const FACTS = [
        'name', 'currency', 'address', 'paper_head', 'mark', 'hourly_rate', 'time_zone', 'second_factor_roles',
        'quotes', 'wants_received', 'claim_days', 'quote_end', 'quote_days', 'mark_up', 'overhead', 'tax_rate',
        'tax_included',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'second_factor_roles' => 'array',
        'quotes' => QuotesSetting::class,
        'wants_received' => 'boolean',
        'quote_end' => QuoteEnd::class,
        'tax_included' => 'boolean',
    ];

    /** The name in the address that links begin with. */
    public function host(): ?string
    {
        $host = parse_url((string) $this->address, PHP_URL_HOST);

        return is_string($host) ? $host : null;
    }

    /** Of painting; null: the studio has none. */
    public function tax(): ?PerCent
    {
        return $this->tax_rate === null ? null : PerCent::of($this->tax_rate);
    }

    public static function row(): self
    {
        return self::query()->findOrFail(1);
    }
}
