<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\BatchRow;
use App\Models\ClauseRow;
use App\Models\Client;
use App\Models\Order;
use App\Models\Photograph;
use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\StandardVersion;
use App\Models\Unit;
use App\Models\User;
use Ordotype\Core\Format\EditClash;
use Ordotype\Core\Format\Json;
use RuntimeException;
use stdClass;

/** Somebody else was first: the current state goes back with the refusal, and nothing is lost. */
final class Conflict extends RuntimeException
{
    /** @param  array<string, mixed>  $current */
    private function __construct(string $message, public readonly array $current)
    {
        parent::__construct($message);
    }

    /** Somebody else has laid a batch out since it was read. */
    public static function batch(BatchRow $batch): self
    {
        return new self('Somebody else has laid this batch out in the meantime.', ['revision' => $batch->revision]);
    }

    /** Somebody else has changed a clause since it was read, or taken it out. */
    public static function clause(?ClauseRow $row, ?stdClass $yours = null): self
    {
        return new self(
            $row === null
                ? 'Somebody else has taken this clause out in the meantime.'
                : 'Somebody else has changed this clause in the meantime.',
            ['revision' => $row->revision ?? 0, 'clause' => $row === null ? null : Json::decode($row->body)] +
                ($yours === null ? [] : ['yours' => $yours]),
        );
    }

    /** Somebody else has changed what is kept of a client since it was read. */
    public static function client(Client $client): self
    {
        return new self('Somebody else has changed this client in the meantime.', [
            'revision' => $client->revision,
            ...$client->only(['name', 'reach', 'notes']),
        ]);
    }

    /** The draft is not the one that was looked at. */
    public static function draft(StandardVersion $draft, string $then): self
    {
        return new self("The draft was changed after you looked at it: $then once more.", [
            'revision' => $draft->revision,
        ]);
    }

    /** Something is not as an edit says it was. */
    public static function edits(EditClash $clash): self
    {
        return new self($clash->getMessage(), ['change' => $clash->place, 'current' => $clash->current]);
    }

    /** Somebody else has changed a map since it was read. */
    public static function figure(Sculpt $sculpt): self
    {
        return new self('Somebody else has changed this figure in the meantime.', [
            'revision' => $sculpt->revision,
            'document' => Json::decode($sculpt->document),
        ]);
    }

    /** Somebody else has changed the facts of an order since they were read. */
    public static function order(Order $order): self
    {
        return new self('Somebody else has changed this order in the meantime.', [
            'revision' => $order->revision,
            ...$order->facts(),
        ]);
    }

    /** Somebody else has changed a person's entry since it was read. */
    public static function person(User $person): self
    {
        return new self("Somebody else has changed the entry of $person->name in the meantime.", [
            'revision' => $person->revision,
        ]);
    }

    /** Somebody laid the outlines of this photograph meanwhile. */
    public static function photograph(Photograph $photograph): self
    {
        return new self('Somebody laid the outlines of this photograph meanwhile. Look at theirs first.', [
            'revision' => $photograph->revision,
        ]);
    }

    /** Somebody else has changed the plan of a unit since it was read. */
    public static function plan(Unit $unit): self
    {
        return new self('Somebody else has changed this plan in the meantime.', [
            'revision' => $unit->revision,
            'edits' => $unit->edits,
        ]);
    }

    /** Somebody else has made a new version of a scheme since it was read. */
    public static function scheme(Scheme $scheme): self
    {
        return new self("Somebody else has made version $scheme->number in the meantime.", [
            'number' => $scheme->number,
            'document' => Json::decode($scheme->document),
        ]);
    }

    /** Somebody else has changed a unit since it was read. */
    public static function unit(Unit $unit): self
    {
        return new self('Somebody else has changed this unit in the meantime.', [
            'revision' => $unit->revision,
            'edits' => $unit->edits,
        ]);
    }

    /**
     * Something is missing before a unit goes to the bench; the lead may go on with a reason.
     *
     * @param  non-empty-list<string>  $missing  in words
     */
    public static function gapsBeforeRelease(array $missing): self
    {
        return new self(
            'Before it goes to the bench: '.implode(' ', $missing).' Say why it goes all the same.',
            ['missing' => $missing],
        );
    }
}
