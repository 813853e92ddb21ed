<!-- In the place of a drawing whose curves could not be fetched. -->
<span class="block text-[14px] text-soft"
	>The drawing didn't arrive. Reload the page when Wendle answers again.</span
>
