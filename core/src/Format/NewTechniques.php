<?php

declare(strict_types=1);

namespace Ordotype\Core\Format;

use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\TechniqueStatus;
use stdClass;

/** A technique that is new in the catalogue is on no tier until somebody puts it there. */
final class NewTechniques
{
    /**
     * The clauses that keep new techniques off the tiers whose default status would allow them.
     *
     * @param  Standard  $after  with the edits made
     * @param  list<DocumentEdit>  $edits
     * @return list<array{tier: string, edit: DocumentEdit}> by the tier's name
     */
    public static function keptOff(Standard $after, array $edits): array
    {
        $said = [];
        foreach ($edits as $edit) {
            $of = $edit->what === 'clause' ? $edit->after->technique ?? null : null;
            if (is_string($of)) {
                $said["$edit->tier $of"] = true;
            }
        }
        $kept = [];
        foreach ($edits as $edit) {
            $key = $edit->what === 'technique' && $edit->before === null ? $edit->after->key ?? null : null;
            if (! is_string($key)) {
                continue;
            }
            foreach ($after->tiers as $tier) {
                if ($tier->defaultStatus() === TechniqueStatus::Allowed && ! isset($said["$tier->key $key"])) {
                    $clause = new stdClass();
                    $clause->id = "$tier->key.new_$key";
                    $clause->kind = 'technique';
                    $clause->technique = $key;
                    $clause->status = TechniqueStatus::NotOffered->value;
                    $kept[] = [
                        'tier' => $tier->name,
                        'edit' => new DocumentEdit('clause', $tier->key, null, $clause),
                    ];
                }
            }
        }

        return $kept;
    }
}
