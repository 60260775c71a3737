<?php

declare(strict_types=1);

namespace App\Actions\Settings;

use App\Actions\Figures\KeepSculpt;
use App\Actions\Orders\AddUnit;
use App\Actions\Schemes\EditScheme;
use App\Formats\SchemaCheck;
use App\Formats\Sizes;
use App\Models\AmendmentRow;
use App\Models\Client;
use App\Models\Order;
use App\Models\Paint;
use App\Models\Piece;
use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\Standard;
use App\Models\StandardVersion;
use App\Models\Studio;
use App\Models\Unit;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Format\ShelfFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Foundation\Problem;
use Ordotype\Core\Standard\Standard as CoreStandard;
use stdClass;

/** Takes a document in one of the open formats into the studio: all of it, or nothing. */
final class ImportDocument
{
    private const PAINTS_A_STEP = 100;

    private const SCHEMAS = [
        'ordotype/standard@1' => 'standard@1',
        'ordotype/sculpt@1' => 'sculpt@1',
        'ordotype/scheme@1' => 'scheme@1',
        'ordotype/order@1' => 'order@1',
    ];

    /** @var callable(int, int): mixed */
    private $step;

    public function __construct(
        private readonly Standards $standards,
        private readonly ActivityLog $log,
        private readonly KeepSculpt $sculpts,
        private readonly EditScheme $schemes,
        private readonly AddUnit $addUnit,
    ) {
        $this->step = fn () => null;
    }

    /**
     * @param  (callable(int, int): void)|null  $step  told how much of how much is done; what it throws ends it all
     * @return string what was taken in, in words
     *
     * @throws FormatException naming every path that is wrong and why
     */
    public function text(string $text, ?callable $step = null): string
    {
        $this->step = $step ?? fn () => null;
        $document = $this->judged($text);

        return $document === null
            ? DB::transaction(fn () => $this->shelf($text))
            : $this->document($document);
    }

    /**
     * What a text is, once its size and the name of its format are looked at: a document, or null for a shelf.
     *
     * @throws FormatException
     */
    public function judged(string $text): ?stdClass
    {
        if (str_starts_with($text, 'name,kind,hex,hiding,ml')) {
            return substr_count($text, "\n") > Sizes::PAINTS + 1
                ? throw FormatException::at('', 'holds more than '.Sizes::PAINTS.' paints')
                : null;
        }
        $document = Json::decode($text);
        $this->format($document);
        Sizes::judge($document);
        assert($document instanceof stdClass);

        return $document;
    }

    /** @throws FormatException */
    private function format(mixed $document): string
    {
        $format = $document instanceof stdClass ? $document->format ?? null : null;

        return is_string($format) && isset(self::SCHEMAS[$format])
            ? $format
            : throw FormatException::at('/format', 'must be one of '.implode(', ', array_keys(self::SCHEMAS)));
    }

    /** @throws FormatException */
    public function document(mixed $document): string
    {
        $format = $this->format($document);
        assert($document instanceof stdClass);
        SchemaCheck::against(self::SCHEMAS[$format], $document);

        return DB::transaction(
            fn () => match ($format) {
                'ordotype/standard@1' => $this->standard($document),
                'ordotype/sculpt@1' => $this->sculpt($document),
                'ordotype/scheme@1' => $this->scheme($document),
                default => $this->order($document),
            },
        );
    }

    private function standard(stdClass $document): string
    {
        ($this->step)(0, 2);
        $read = StandardFormat::read($document);
        $currency = Studio::row()->currency;
        $foreign = $read->currency !== $currency;
        $document->currency = $currency;
        ($this->step)(1, 2);
        $standard = Standard::query()->first() ?? Standard::query()->create(['name' => $read->name]);
        $draft =
            $this->standards->draft() ??
            StandardVersion::query()->create([
                'standard_id' => $standard->id,
                'status' => 'draft',
                'frame' => '{}',
                'number' => (int) StandardVersion::query()->where('standard_id', $standard->id)->max('number') + 1,
            ]);
        $before = $draft->wasRecentlyCreated ? null : CanonicalJson::encode($this->standards->document($draft));
        $this->standards->keep($draft, $document);
        $draft->increment('revision');
        $this->log->write('standard.imported', $draft, $before, CanonicalJson::encode($document));

        return "$read->name is the open draft, version $draft->number.".
            ($foreign ? " Its prices were in $read->currency: look at each, the numbers are $currency now." : '');
    }

    private function sculpt(stdClass $document): string
    {
        $read = SculptFormat::readAnew($document);
        $sculpt = Sculpt::query()->where('slug', Str::slug($read->name))->first();
        $sculpt === null
            ? $this->sculpts->create($document)
            : $this->sculpts->edit($sculpt, $document, [], $sculpt->revision);

        return "$read->name, ".count($read->areas).' areas.';
    }

    private function scheme(stdClass $document): string
    {
        $read = SchemeFormat::read($document);
        $scheme = Scheme::query()->where('slug', Str::slug($read->name))->first();
        $scheme === null
            ? $this->schemes->create($document)
            : $this->schemes->edit($scheme, $document, $scheme->number, 'Imported.');

        return "The scheme $read->name.";
    }

    private function shelf(string $text): string
    {
        $shelf = ShelfFormat::readCsv($text);
        foreach ($shelf->paints as $i => $paint) {
            if ($i % self::PAINTS_A_STEP === 0) {
                ($this->step)($i, count($shelf->paints));
            }
            Paint::query()->updateOrCreate(
                ['name' => $paint->name],
                [
                    'kind' => $paint->kind,
                    'hex' => $paint->colour->hex(),
                    'hiding' => $paint->hiding->value,
                    'ml' => $paint->ml,
                ],
            );
        }

        return count($shelf->paints).' paints.';
    }

    private function order(stdClass $document): string
    {
        $version =
            $this->standards->published() ??
            throw FormatException::at('', 'needs a published standard, and there is none yet');
        $standard = $this->standards->core($version);
        if (Order::query()->where('number', $document->number)->exists()) {
            throw FormatException::at('/number', "the order $document->number is there already");
        }
        $scheme =
            $document->scheme === null
                ? null
                : Scheme::query()->where('slug', $document->scheme)->first() ??
                    throw FormatException::at('/scheme', "there is no scheme \"$document->scheme\"");
        $due = now()->addDays($document->due_in_days)->startOfDay();
        $order = Order::query()->create([
            'number' => $document->number,
            'client' => $document->client,
            'client_id' => Client::named($document->client)->id,
            'title' => $document->title,
            'brief' => $document->brief,
            'status' => $document->status,
            'due_on' => $due,
            // What is past its yes was promised for that day.
            'promised_on' => in_array($document->status, ['draft', 'quoted'], true) ? null : $due,
            'standard_version_id' => $version->id,
            'scheme_id' => $scheme?->id,
            'method' => $document->method === null
                    ? null
                    : Json::encode((object) (['format' => 'ordotype/method@1'] + (array) $document->method)),
        ]);
        $models = 0;
        $all = (int) array_sum(array_map(fn (stdClass $unit) => $unit->count, $document->units));
        foreach ($document->units as $i => $unit) {
            $sculpt =
                Sculpt::query()->where('slug', $unit->sculpt)->first() ??
                throw FormatException::at("/units/$i/sculpt", "there is no figure \"$unit->sculpt\"");
            if (! $standard->hasTier($unit->tier)) {
                throw FormatException::at("/units/$i/tier", "the standard has no tier \"$unit->tier\"");
            }
            ($this->step)($models, $all);
            $models += $unit->count;
            $made = ($this->addUnit)($order, $sculpt, $unit->tier, $unit->count, $unit->label ?? null);
            $this->amendments($unit->amendments ?? [], ['unit_id' => $made->id], $standard, "/units/$i/amendments");
        }
        $this->amendments($document->amendments ?? [], ['order_id' => $order->id], $standard, '/amendments');
        // Whom it is for can be erased, the log cannot.
        $plain = (object) array_diff_key((array) $document, ['client' => true, 'brief' => true]);
        $this->log->write('order.imported', $order, null, CanonicalJson::encode($plain));

        return "Order $order->number for $order->client, ".
            Unit::query()->where('order_id', $order->id)->count().
            ' units, '.
            Piece::query()
                ->whereIn('unit_id', Unit::query()->where('order_id', $order->id)->select('id'))
                ->count().
            ' pieces.';
    }

    /**
     * @param  list<stdClass>  $amendments
     * @param  array<string, int>  $of
     */
    private function amendments(array $amendments, array $of, CoreStandard $standard, string $path): void
    {
        try {
            AmendmentFormat::read($amendments, $standard->techniqueKeys());
        } catch (FormatException $e) {
            throw new FormatException(
                array_map(fn (Problem $p) => new Problem($path.$p->path, $p->reason), $e->problems),
            );
        }
        foreach ($amendments as $amendment) {
            AmendmentRow::query()->create($of + ['body' => Json::encode($amendment), 'made_by' => Auth::id()]);
        }
    }
}
