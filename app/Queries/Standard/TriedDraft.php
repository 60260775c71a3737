<?php

declare(strict_types=1);

namespace App\Queries\Standard;

use App\Exceptions\Conflict;
use App\Repositories\Standards;
use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Format\DocumentEdits;
use Ordotype\Core\Format\EditClash;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Standard\Standard;

/** The open version of the standard as it is, and as changes that are not kept yet would make it. */
final class TriedDraft
{
    public function __construct(private readonly Standards $standards)
    {
    }

    /**
     * @param  list<DocumentEdit>  $edits
     * @return array{Standard, Standard} before and after; the same one where nothing is changed
     *
     * @throws Conflict when something is not as an edit says it was
     * @throws FormatException when the result is no standard
     */
    public function with(array $edits): array
    {
        $version = $this->standards->draft() ?? $this->standards->current();
        $before = $this->standards->core($version);
        if ($edits === []) {
            return [$before, $before];
        }
        try {
            $after = DocumentEdits::apply($this->standards->document($version), $edits);
        } catch (EditClash $e) {
            throw Conflict::edits($e);
        }

        return [$before, StandardFormat::read($after)];
    }
}
