<b>{{ $u['count'] }} × {{ $u['figure'] }}{{ $u['label'] === null ? '' : ", {$u['label']}" }}, {{ $u['tier_name'] }}</b><br>
<span style="color:#555">{{ $u['intent'] }} Made to be seen from {{ $u['distance_cm'] }} cm.</span>
<p style="font-size:8.5pt">{{ implode(' ', $u['gets']) }}@if ($u['not'] !== []) <span style="color:#666">Not at this tier: {{ mb_strtolower(implode('; ', array_map(fn ($l) => rtrim($l, '.'), $u['not']))) }}.</span>@endif</p>
<p>{{ $u['count'] }} × {{ $money($u['price']) }} = <b>{{ $money($sum['price']) }}</b>@if (! $q['is_fixed'] && $sum['ceiling'] !== $sum['price']), at most {{ $money($sum['ceiling']) }}@endif</p>
