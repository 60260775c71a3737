<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\RequestRefused;
use Illuminate\Database\Eloquent\Model;

/**
 * A link that shows one thing to whoever has it, until it expires or is withdrawn.
 *
 * @property int $id
 * @property string $hash
 * @property string $what
 * @property array<string, mixed> $shows
 * @property int $made_by
 * @property \Illuminate\Support\Carbon $expires_at
 * @property \Illuminate\Support\Carbon|null $withdrawn_at
 */
final class ShareLink extends Model
{
    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @var array<string, string> */
    protected $casts = ['shows' => 'array', 'expires_at' => 'datetime', 'withdrawn_at' => 'datetime'];

    /**
     * The link that a secret opens: it shows what it was made for and nothing else. Expired, withdrawn and never made
     * look the same.
     *
     * @throws RequestRefused
     */
    public static function holding(string $secret, string ...$what): self
    {
        $link = self::query()
            ->where('hash', hash('sha256', $secret))
            ->whereIn('what', $what)
            ->first();

        return $link !== null && $link->holds() ? $link : throw RequestRefused::linkShowsNothing();
    }

    public function holds(): bool
    {
        return $this->withdrawn_at === null && $this->expires_at->isFuture();
    }
}
