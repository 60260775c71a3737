<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Policies\Rights;
use Illuminate\Http\JsonResponse;
use Ordotype\Core\Words\Vocabulary;

/** The words that all texts of the product use, for screens that put texts together themselves. */
final class VocabularyController
{
    public function __invoke(): JsonResponse
    {
        return (new JsonResponse(Vocabulary::sets() + ['ability' => Rights::WORDS]))->setPublic()->setMaxAge(300);
    }
}
