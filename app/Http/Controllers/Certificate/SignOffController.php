<?php

declare(strict_types=1);

namespace App\Http\Controllers\Certificate;

use App\Actions\Certificate\SignPieces;
use App\Http\Requests\Certificate\SignOffWanted;
use App\Http\Requests\Certificate\SignOffWithdrawn;
use App\Http\Requests\ListAsked;
use App\Http\Requests\NothingSent;
use App\Http\Resources\Certificate\SignOffBrief;
use App\Models\SignOff;
use App\Pdf\CertificatePdf;
use App\Queries\Certificate\CertificateForClient;
use App\Queries\Certificate\CertificateShown;
use App\Queries\Keyset;
use App\Studio\Pictures;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Sign-offs: made, withdrawn, and shown as certificates. Nothing here is ever changed. */
final class SignOffController
{
    private const PAGE = 50;

    public function __construct(private readonly SignPieces $sign, private readonly CertificateShown $shown)
    {
    }

    public function index(ListAsked $asked): JsonResponse
    {
        $records = SignOff::query()
            ->select(['id', 'number', 'kind', 'hash', 'user_id', 'signed_at'])
            ->with(['user:id,name', 'pieces:id,number,code']);
        [$page, $next] = (new Keyset('sign-offs', ['sign_offs.number' => true]))
            ->page($records, $asked->cursor(), self::PAGE);

        return new JsonResponse([
            'data' => SignOffBrief::collection($page),
            'next_cursor' => $next,
        ]);
    }

    public function show(NothingSent $given, int $number): JsonResponse
    {
        return new JsonResponse($this->shown->of(self::numbered($number), $given->person()));
    }

    /** The record itself, byte for byte what its hash is of. */
    public function record(int $number): Response
    {
        return new Response(self::numbered($number)->record, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"certificate-$number.json\"",
        ]);
    }

    public function store(SignOffWanted $given): JsonResponse
    {
        $record = $this->sign->sign($given->pieces(), $given->person(), $given->whole());

        return new JsonResponse($this->shown->of($record, $given->person()), 201);
    }

    /** What the record would say; nothing is signed. */
    public function preview(SignOffWanted $given): JsonResponse
    {
        return new JsonResponse($this->shown->before($given->pieces(), $given->person()));
    }

    public function forClient(string $secret, CertificateForClient $shown): JsonResponse
    {
        return new JsonResponse($shown->at($secret));
    }

    public function pictureForClient(
        string $secret,
        string $sha,
        CertificateForClient $shown,
        Pictures $pictures,
    ): Response {
        return $pictures->answered($shown->photograph($secret, $sha)->picture);
    }

    /** The same on paper. */
    public function paperForClient(string $secret, CertificatePdf $paper): Response
    {
        return new Response($paper->of($secret), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'attachment; filename="certificate.pdf"',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    public function withdraw(SignOffWithdrawn $given, int $number): JsonResponse
    {
        $record = $this->sign->withdraw(self::numbered($number), $given->person(), $given->reason());

        return new JsonResponse($this->shown->of($record, $given->person()), 201);
    }

    private static function numbered(int $number): SignOff
    {
        return SignOff::query()->where('number', $number)->firstOrFail();
    }
}
