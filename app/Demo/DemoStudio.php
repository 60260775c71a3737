<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Bench\LayBatches;
use App\Actions\Bench\WorkOnPieces;
use App\Actions\Certificate\SignPieces;
use App\Actions\Check\CheckPiece;
use App\Actions\Check\JudgeFaults;
use App\Actions\Orders\MovePiece;
use App\Actions\Plan\ArrangeUnit;
use App\Actions\Plan\BendPlan;
use App\Actions\Plan\PlanUnit;
use App\Actions\Settings\ImportDocument;
use App\Actions\Standard\EditStandard;
use App\Models\Check;
use App\Models\Order;
use App\Models\Piece;
use App\Models\Studio;
use App\Models\Unit;
use App\Models\User;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Repositories\Releases;
use App\Studio\Checks;
use App\Studio\Pictures;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\StageMove;
use Ordotype\Core\Colour\Scheme;

/**
 * Loads the demo studio: its documents through the import a user has, and its history through the same actions the
 * screens call, so that nothing in it could not have happened.
 *
 * @phpstan-import-type Found from JudgeFaults
 */
final class DemoStudio
{
    public function __construct(
        private readonly CheckPiece $checkPiece,
        private readonly SignPieces $signPieces,
        private readonly MovePiece $movePiece,
        private readonly ArrangeUnit $arrangeUnit,
        private readonly BendPlan $bendPlan,
        private readonly PlanUnit $planUnit,
        private readonly WorkOnPieces $workOnPieces,
        private readonly ImportDocument $import,
        private readonly EditStandard $editStandard,
        private readonly Pictures $pictures,
        private readonly Figures $figures,
        private readonly Colours $colours,
        private readonly Checks $checks,
        private readonly Releases $releases,
        private readonly DemoOrders $orders,
        private readonly LayBatches $layBatches,
    ) {
    }

    public function load(): void
    {
        DB::transaction(function (): void {
            foreach (DemoPeople::all() as $person) {
                User::query()->create($person + ['password' => DemoPeople::PASSWORD, 'joined_at' => now()]);
            }
            Studio::row()->update(['name' => 'Heron Lane', 'time_zone' => 'Europe/Amsterdam']);
            $this->as('lead');
            $import = $this->import;
            foreach (['shelf.csv', 'standards/five-rungs.json', 'sculpts/*.json', 'schemes/*.json'] as $pattern) {
                foreach (glob(database_path("demo/$pattern")) ?: [] as $file) {
                    $import->text((string) file_get_contents($file));
                }
            }
            $edit = $this->editStandard;
            $edit->publish($edit->open()->refresh()->revision, 'The five rungs, as we paint them.');
            foreach (glob(database_path('demo/orders/*.json')) ?: [] as $file) {
                $import->text((string) file_get_contents($file));
            }
            $this->orders->agree();
            $this->ended();
            $this->onTheBench();
            $this->inCheck();
            $this->late();
            $this->signed();
            $this->held();
            $this->arranged();
            $this->horde();
            $this->laidOut();
            Auth::logout();
        });
    }

    /** Pieces at every stage of being painted. */
    private function onTheBench(): void
    {
        $unit = $this->release('26-038');
        $passes = $this->releases->of($unit)->passes();
        foreach ($unit->pieces as $piece) {
            $this->as($piece->number % 2 === 0 ? 'odo' : 'pim');
            $this->paint($piece, max(0, (int) round(count($passes) * (1 - $piece->number / 10))));
        }
    }

    /** A batch of two orders, one of them late, with models at every stage: while one dries, the other is painted. */
    private function laidOut(): void
    {
        $this->as('lead');
        $hand = fn (string $who, string $to): array => [
            'user' => $this->person($who)->id,
            'from' => '09:00',
            'to' => $to,
            'days' => [1, 2, 3, 4, 5],
            'largest' => null,
        ];
        $orders = Order::query()->with('units')->whereIn('number', ['26-038', '26-030'])->get();
        $this->layBatches->make(
            $this->person('lead'),
            'Flats and dyke',
            array_values($orders->flatMap(fn (Order $o) => $o->units)->map(fn (Unit $u) => $u->id)->all()),
            [$hand('pim', '17:00'), $hand('odo', '15:30')],
            CarbonImmutable::now(Studio::row()->time_zone)->setTime(9, 0)->utc(),
            1,
            false,
        );
    }

    /** Six finished pieces: one half checked, one sent back, one passed, the rest waiting. */
    private function inCheck(): void
    {
        $unit = $this->release('26-033');
        foreach ($unit->pieces as $piece) {
            $this->finish($piece, 'painter');
        }
        [$first, $second, $third] = $unit->pieces->take(3)->values()->all();
        $this->pass($first);

        $this->as('lead');
        $check = $this->checkPiece->open($second, $this->person('lead'));
        $this->answerAll($check, [
            $this->asked($check, 'tide_mark') => [
                'fault' => 'tide_mark',
                'area' => 'coat',
                'spread' => 'patch',
                'size_mm' => null,
                'pin' => ['view' => 'front', 'x' => 0.42, 'y' => 0.66],
            ],
        ]);
        $this->checkPiece->close($check, $this->person('lead'), 'rework', null);

        $check = $this->checkPiece->open($third, $this->person('lead'));
        foreach (array_slice($check->questions, 0, 9) as $question) {
            $this->checkPiece->answer($check, $this->person('lead'), $question['key'], 'yes', null, []);
        }
    }

    private function signed(): void
    {
        $unit = $this->release('26-029');
        foreach ($unit->pieces as $piece) {
            $this->finish($piece, 'painter');
            $this->pass($piece);
        }
        $this->signPieces->sign(
            array_values($unit->pieces->pluck('id')->map(fn ($id) => (int) $id)->all()),
            $this->person('lead'),
        );
    }

    private function late(): void
    {
        $unit = $this->release('26-030');
        foreach ($unit->pieces->take(5) as $piece) {
            $this->as('odo');
            $this->paint($piece, 6);
        }
    }

    /** What came to its end, in the order in which it did; and one that was given up when two models were begun. */
    private function ended(): void
    {
        foreach (['26-018' => 82, '26-021' => 32, '26-031' => 27] as $number => $days) {
            $this->orders->on($days, 'pim', function () use ($number): void {
                $unit = $this->release($number);
                foreach ($unit->pieces as $piece) {
                    $this->finish($piece, 'pim');
                    $this->pass($piece);
                }
                $this->signPieces->sign(array_values($unit->pieces->modelKeys()), $this->person('lead'));
            });
        }
        $this->orders->on(14, 'odo', function (): void {
            foreach ($this->release('26-034')->pieces->take(2) as $piece) {
                $this->as('odo');
                $this->paint($piece, 4);
            }
        });
        $this->orders->end();
    }

    /** Twenty of a horde, finished: so many alike are not looked at one by one. */
    private function horde(): void
    {
        $this->as('lead');
        $unit = Order::query()->where('number', '26-027')->firstOrFail()->units()->firstOrFail();
        $this->arrangeUnit->amend(
            $unit,
            (object) [
                'level' => 'unit',
                'do' => 'set',
                'clause' => 'muster.accept',
                'technique' => null,
                'scope' => (object) [],
                'values' => (object) [
                    'inspect' => 'sample',
                    'level' => 'II',
                    'aql' => (object) ['major' => 4.0, 'minor' => 10.0],
                ],
                'reason' => 'Many alike, seen from far: a few of them speak for all.',
                'price' => null,
                'on' => null,
            ],
            $unit->revision,
        );
        foreach ($this->release('26-027')->pieces as $piece) {
            $this->finish($piece, $piece->number % 2 === 0 ? 'odo' : 'pim');
        }
    }

    /** One that is lost and one on hold, as happens. */
    private function held(): void
    {
        $this->as('lead');
        $pieces = Order::query()
            ->where('number', '26-030')
            ->firstOrFail()
            ->units()
            ->firstOrFail()
            ->pieces()
            ->orderBy('number')
            ->get();
        ($this->movePiece)($pieces[6], StageMove::Hold, 'Its hook broke off; a new one is on the way.');
        ($this->movePiece)($pieces[7], StageMove::Lose, 'Dropped behind the cabinet.');
    }

    /**
     * A client's picture; and a gift of three wardens that are not to look like clones, with a sergeant among them.
     */
    private function arranged(): void
    {
        $this->as('lead');
        $order = Order::query()->with('scheme', 'units.sculpt')->where('number', '26-041')->firstOrFail();
        $first = $order->units->firstOrFail();
        $picture = $this->pictures->take(
            ReferenceCard::png(
                $this->figures->of($first->sculpt),
                $this->colours->scheme($order->scheme) ?? new Scheme('', [], []),
                $this->colours->shelf(),
            ),
        );
        $order->update(['reference' => $picture->sha256]);

        $unit = Order::query()->where('number', '26-040')->firstOrFail()->units()->firstOrFail();
        $sergeant = $unit->pieces()->where('number', 1)->firstOrFail();
        $this->arrangeUnit->amend(
            $unit,
            (object) [
                'level' => 'piece',
                'do' => 'add',
                'clause' => null,
                'technique' => 'glaze_light',
                'scope' => (object) ['area' => ['face']],
                'values' => (object) [],
                'reason' => 'The sergeant’s face is looked at first.',
                'price' => null,
                'on' => null,
            ],
            $unit->revision,
            $sergeant,
        );
        $unit->refresh();
        $this->bendPlan->variants(
            $unit,
            [
                (object) [
                    'name' => 'Old coat',
                    'share' => 0.34,
                    'colours' => (object) [
                        'slots' => (object) [
                            'main cloth' => (object) [
                                'base' => 'Dusk Blue',
                                'shades' => ['Indigo Cloth'],
                                'lights' => ['Mist Blue'],
                            ],
                        ],
                        'areas' => (object) [],
                    ],
                    'amendments' => [],
                ],
            ],
            $unit->revision,
        );
    }

    private function release(string $order): Unit
    {
        $this->as('lead');
        $unit = Order::query()->where('number', $order)->firstOrFail()->units()->orderBy('id')->firstOrFail();
        $this->planUnit->release($unit, $unit->revision);

        return Unit::query()
            ->with(['order.version', 'pieces' => fn ($q) => $q->orderBy('number')])
            ->findOrFail($unit->id);
    }

    /** Marks the first passes of the plan done on a piece. */
    private function paint(Piece $piece, int $passes): void
    {
        $release = $this->releases->of($piece->unit()->firstOrFail());
        $steps = [];
        foreach (array_slice($release->passes(), 0, $passes) as $pass) {
            foreach ($pass->steps as $i) {
                $steps[] = $release->keys[$i]->id;
            }
        }
        if ($steps !== []) {
            $this->workOnPieces->mark([$piece->id], $steps);
        }
    }

    private function finish(Piece $piece, string $who): void
    {
        $this->as($who);
        $this->paint($piece, PHP_INT_MAX);
        $this->workOnPieces->offer([$piece->id]);
    }

    private function pass(Piece $piece): void
    {
        $this->as('lead');
        $check = $this->checkPiece->open($piece, $this->person('lead'));
        $this->answerAll($check, []);
        $this->checkPiece->close($check, $this->person('lead'), 'passed', null);
    }

    /**
     * @param  array<string, Found>  $faults  by question; the rest is fine
     */
    private function answerAll(Check $check, array $faults): void
    {
        foreach ($this->checks->questions($check) as $question) {
            $fault = $faults[$question->key->id] ?? null;
            $this->checkPiece->answer(
                $check,
                $this->person('lead'),
                $question->key->id,
                $fault === null ? 'yes' : 'fault',
                null,
                $fault === null ? [] : [$fault],
            );
        }
    }

    private function asked(Check $check, string $fault): string
    {
        foreach ($this->checks->questions($check) as $question) {
            if (in_array($fault, $question->faults, true)) {
                return $question->key->id;
            }
        }

        return 'final_look';
    }

    private function as(string $who): void
    {
        Auth::setUser($this->person($who));
    }

    private function person(string $who): User
    {
        return User::query()
            ->where('email', 'like', "$who@%")
            ->firstOrFail();
    }
}
