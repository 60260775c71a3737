<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\Conflict;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Illuminate\Support\Carbon;
use Ordotype\Core\Studio\OrderStatus;

/**
 * What a client has ordered.
 *
 * @property int $id
 * @property string $number
 * @property string $client
 * @property int|null $client_id
 * @property string|null $payer  where somebody else pays
 * @property string $title
 * @property string|null $client_reference
 * @property string|null $brief
 * @property OrderStatus $status
 * @property Carbon|null $due_on  asked for
 * @property Carbon|null $promised_on
 * @property Carbon|null $held_at
 * @property string|null $held_for  client or studio: whose wait it is
 * @property string|null $held_reason
 * @property Carbon|null $quoted_until
 * @property int $standard_version_id
 * @property int|null $scheme_id
 * @property string|null $method
 * @property string|null $reference
 * @property array{extras?: list<array<string, mixed>>, lines?: list<array<string, mixed>>,
 *     discount?: array<string, string>|null, contingencies?: list<array<string, mixed>>}|null $quote  what is typed
 *     beside the units for the next version
 * @property string|null $agreed_total  said otherwise than the accepted version has it
 * @property string|null $agreed_reason
 * @property int|null $continues_id  the order whose army it goes on with
 * @property Carbon|null $prices_until  so long that one's prices hold
 * @property int $revision
 * @property-read Collection<int, Unit> $units
 * @property-read StandardVersion $version
 * @property-read Scheme|null $scheme
 * @property-read Collection<int, AmendmentRow> $amendments
 * @property-read Collection<int, OverruleRow> $overrules
 * @property-read Collection<int, OrderMoveRow> $moves
 * @property-read Collection<int, PaymentRow> $payments
 * @property-read Collection<int, Parcel> $parcels
 * @property-read Collection<int, Question> $questions
 * @property-read Collection<int, QuoteRow> $quotes
 * @property-read Order|null $continues
 */
final class Order extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = [
        'due_on' => 'date',
        'promised_on' => 'date',
        'held_at' => 'datetime',
        'quoted_until' => 'date',
        'prices_until' => 'date',
        'quote' => 'array',
        'status' => OrderStatus::class,
    ];

    /** @return array<string, string|null> what was written down of it, by the names of the contract */
    public function facts(): array
    {
        return [
            'client' => $this->client,
            'title' => $this->title,
            'payer' => $this->payer,
            'client_reference' => $this->client_reference,
            'brief' => $this->brief,
            'due_on' => $this->due_on?->format('Y-m-d'),
            'promised_on' => $this->promised_on?->format('Y-m-d'),
        ];
    }

    /** The day that was promised, else the one that was asked for. */
    public function day(): ?Carbon
    {
        return $this->promised_on ?? $this->due_on;
    }

    /** @return HasMany<Unit, $this> */
    public function units(): HasMany
    {
        return $this->hasMany(Unit::class);
    }

    /** @return HasManyThrough<Piece, Unit, $this> */
    public function pieces(): HasManyThrough
    {
        return $this->hasManyThrough(Piece::class, Unit::class);
    }

    /** @return BelongsTo<StandardVersion, $this> */
    public function version(): BelongsTo
    {
        return $this->belongsTo(StandardVersion::class, 'standard_version_id');
    }

    /** @return BelongsTo<Scheme, $this> */
    public function scheme(): BelongsTo
    {
        return $this->belongsTo(Scheme::class);
    }

    /** @return HasMany<OrderMoveRow, $this> how it came to where it stands */
    public function moves(): HasMany
    {
        return $this->hasMany(OrderMoveRow::class)->orderBy('id');
    }

    /** @return HasMany<PaymentRow, $this> in their order */
    public function payments(): HasMany
    {
        return $this->hasMany(PaymentRow::class)->orderBy('place');
    }

    /** @return HasMany<Parcel, $this> */
    public function parcels(): HasMany
    {
        return $this->hasMany(Parcel::class)->orderBy('id');
    }

    /** @return HasMany<Question, $this> */
    public function questions(): HasMany
    {
        return $this->hasMany(Question::class)->orderBy('id');
    }

    /** @return HasMany<QuoteRow, $this> the newest first */
    public function quotes(): HasMany
    {
        return $this->hasMany(QuoteRow::class)->orderByDesc('number');
    }

    /** @return BelongsTo<Order, $this> */
    public function continues(): BelongsTo
    {
        return $this->belongsTo(self::class, 'continues_id');
    }

    /** @return HasMany<OverruleRow, $this> the rules of order that do not hold for it */
    public function overrules(): HasMany
    {
        return $this->hasMany(OverruleRow::class, 'order_id')->orderBy('id');
    }

    /** Of this order as it is now; nobody else changes it until the transaction ends. */
    public function locked(): self
    {
        return self::query()->lockForUpdate()->findOrFail($this->id);
    }

    /**
     * The same, if it is still the one that somebody looked at.
     *
     * @throws Conflict
     */
    public function lockedAt(int $revision): self
    {
        $order = $this->locked();

        return $order->revision === $revision ? $order : throw Conflict::order($order);
    }

    /** @return HasMany<AmendmentRow, $this> */
    public function amendments(): HasMany
    {
        return $this->hasMany(AmendmentRow::class);
    }
}
