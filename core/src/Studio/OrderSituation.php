<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

use Ordotype\Core\Bench\Stage;

/** What is so with an order at this moment, as far as its moves ask for it. */
final readonly class OrderSituation
{
    /**
     * @param  list<Stage>  $pieces  where its pieces stand
     * @param  bool  $isPriced  there is a unit, and every one has a tier and a price
     * @param  bool  $isNewest  what is accepted is the newest version of the quote
     * @param  bool  $isWithinDays  the quote has not run out
     * @param  bool  $hasReleases  a unit is on the bench
     * @param  bool  $isHeldByQuestion  a question without an answer holds up work
     * @param  bool  $isReceived  everything is there, or the studio does not ask for it
     * @param  bool  $isDuePaid  what was to be paid by now is noted
     * @param  bool  $isPaid  everything is
     * @param  bool  $isClaim  something is wrong with what was delivered
     * @param  bool  $isWithdrawn  a sign-off was withdrawn
     */
    public function __construct(
        public array $pieces = [],
        public bool $isPriced = false,
        public bool $isNewest = true,
        public bool $isWithinDays = true,
        public QuotesSetting $quotes = QuotesSetting::WhenAsked,
        public bool $hasReleases = false,
        public bool $isHeldByQuestion = false,
        public bool $isReceived = true,
        public bool $isDuePaid = true,
        public bool $isPaid = false,
        public bool $isClaim = false,
        public bool $isWithdrawn = false,
        public string $reason = '',
    ) {
    }

    public function holds(MoveCondition $condition): bool
    {
        return match ($condition) {
            MoveCondition::UnitWithTierAndPrice => $this->isPriced,
            MoveCondition::NewestVersion => $this->isNewest,
            MoveCondition::WithinDays => $this->isWithinDays,
            MoveCondition::SettingQuotesNotAlways => $this->quotes !== QuotesSetting::Always,
            MoveCondition::FirstRelease => $this->hasReleases,
            MoveCondition::NoBlockingQuestion => ! $this->isHeldByQuestion,
            MoveCondition::ReceivedIfAsked => $this->isReceived,
            MoveCondition::DuePaymentNotedOrReason => $this->isDuePaid || $this->hasReason(),
            MoveCondition::LastReleaseTakenBack => ! $this->hasReleases,
            MoveCondition::AllPiecesSettled => $this->everyPiece(fn (Stage $s) => $s->isClosed() || ! $s->isThere()),
            MoveCondition::AllPiecesGone => $this->everyPiece(fn (Stage $s) => ! $s->isToBeDelivered()),
            MoveCondition::SignOffWithdrawn => $this->isWithdrawn,
            MoveCondition::PaidOrReason => $this->isPaid || $this->hasReason(),
            MoveCondition::Claim => $this->isClaim,
            MoveCondition::Reason => $this->hasReason(),
        };
    }

    private function hasReason(): bool
    {
        return trim($this->reason) !== '';
    }

    /** @param  callable(Stage): bool  $is */
    private function everyPiece(callable $is): bool
    {
        return $this->pieces !== [] && array_filter($this->pieces, $is) === $this->pieces;
    }
}
