<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Check\AskTheClient;
use App\Actions\Check\CheckPiece;
use App\Actions\Check\JudgeFaults;
use App\Exceptions\CheckRefused;
use App\Http\Requests\Check\AnswerGiven;
use App\Http\Requests\Check\CheckClosing;
use App\Http\Requests\Check\FaultOverruled;
use App\Http\Requests\Check\FaultSent;
use App\Http\Requests\Check\LookAnswered;
use App\Http\Requests\ListAsked;
use App\Http\Requests\NothingSent;
use App\Models\Check;
use App\Models\Piece;
use App\Pictures\FaultExamples;
use App\Queries\Check\CheckShown;
use App\Queries\Check\ChecksListed;
use App\Studio\Checks;
use Illuminate\Http\JsonResponse;

/** Finished work held against its tier: looked at, answered, sent back or passed. */
final class CheckController
{
    public function __construct(private readonly CheckShown $shown, private readonly CheckPiece $work)
    {
    }

    public function index(ListAsked $asked, ChecksListed $checks): JsonResponse
    {
        return new JsonResponse($checks->page($asked->find(), $asked->cursor()));
    }

    public function open(NothingSent $given, Piece $piece): JsonResponse
    {
        $check = $this->work->open($piece, $given->person());

        return new JsonResponse($this->shown->of($check, $given->person()), 201);
    }

    public function show(NothingSent $given, Check $check): JsonResponse
    {
        return new JsonResponse($this->shown->of($check, $given->person()));
    }

    public function answer(AnswerGiven $given, Check $check): JsonResponse
    {
        $check = $this->work->answer(
            $check,
            $given->person(),
            $given->question(),
            $given->answer(),
            $given->note(),
            $given->faults(),
        );

        return new JsonResponse($this->shown->of($check, $given->person()));
    }

    public function close(CheckClosing $given, Check $check): JsonResponse
    {
        $check = $this->work->close(
            $check,
            $given->person(),
            $given->verdict(),
            $given->reason(),
            $given->consent(),
        );

        return new JsonResponse($this->shown->of($check, $given->person()));
    }

    public function answerLook(LookAnswered $given, Check $check): JsonResponse
    {
        $person = $given->person();
        $check = $this->work->answerLook($check, $person, $given->look(), $given->answer(), $given->note());

        return new JsonResponse($this->shown->of($check, $person));
    }

    public function takeOver(NothingSent $given, Check $check): JsonResponse
    {
        $check = $this->work->takeOver($check, $given->person());

        return new JsonResponse($this->shown->of($check, $given->person()));
    }

    /** What a fault would count and what would put it right; nothing is noted. */
    public function judge(FaultSent $given, Check $check, Checks $checks, JudgeFaults $faults): JsonResponse
    {
        $asked = $checks->question($check, $given->question()) ?? throw CheckRefused::notAsked($given->question());

        return new JsonResponse($this->shown->judged($check, $faults->judge($check, $asked, $given->found(), '')));
    }

    /** Where drawings of what faults look like are to be had. */
    public function faultPictures(FaultExamples $examples): JsonResponse
    {
        return new JsonResponse(['data' => (object) $examples->addresses()]);
    }

    /** A link by which the client is asked whether it may leave as it is. */
    public function askTheClient(NothingSent $given, Check $check, AskTheClient $ask): JsonResponse
    {
        return new JsonResponse(['path' => '/agree/'.$ask->ask($check, $given->person())], 201);
    }

    public function overrule(FaultOverruled $given, Check $check, int $fault): JsonResponse
    {
        $person = $given->person();
        $check = $this->work->overrule($check, $fault, $person, $given->severity(), $given->reason());

        return new JsonResponse($this->shown->of($check, $person));
    }

    /** Takes away a fault that was noted by mistake. */
    public function takeAway(NothingSent $given, Check $check, int $fault): JsonResponse
    {
        $check = $this->work->takeAway($check, $fault, $given->person());

        return new JsonResponse($this->shown->of($check, $given->person()));
    }
}
