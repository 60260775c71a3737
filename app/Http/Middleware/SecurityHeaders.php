<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/**
 * No inline script, nothing from elsewhere, no framing. Ant Design puts its styles into the page with the nonce of the
 * page; its components set style properties, which only the attribute's own rule allows.
 */
final class SecurityHeaders
{
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        $response->headers->set(
            'Content-Security-Policy',
            "default-src 'self'; script-src 'self'; style-src 'self' 'nonce-$nonce'; ".
                "style-src-attr 'unsafe-inline'; img-src ".
                "'self' data: blob:; font-src 'self' data:; connect-src 'self'; object-src 'none'; ".
                "base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
        );
        $response->headers->set('Referrer-Policy', 'same-origin');
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('X-Frame-Options', 'DENY');
        $response->headers->set(
            'Permissions-Policy',
            'camera=(self), microphone=(), geolocation=(), payment=(), usb=()',
        );
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
            // Without TLS browsers ignore it and say so.
            $response->headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        }

        return $response;
    }
}
