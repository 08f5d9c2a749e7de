# bash completion of yes-square
_yes_square() {
    local cur prev words cword
    _init_completion || return
    case $prev in
        --sheets)
            _filedir -d
            return
            ;;
        --screenshot)
            _filedir png
            return
            ;;
        --stage)
            COMPREPLY=($(compgen -W "survey lines layout fixings cut fit record" -- "$cur"))
            return
            ;;
        --theme)
            COMPREPLY=($(compgen -W "light dark" -- "$cur"))
            return
            ;;
        --lang)
            COMPREPLY=($(compgen -W "en de" -- "$cur"))
            return
            ;;
        --unit)
            COMPREPLY=($(compgen -W "mm cm in/16 ft-in/16" -- "$cur"))
            return
            ;;
        --page)
            COMPREPLY=($(compgen -W "wall walk drill studs level face services room marks drilling holds fix-with
                noggings parts bench stock kit delivery steps readings days" -- "$cur"))
            return
            ;;
        --size | --shelf | --wall | --practice | --ask | --type | --wall-side)
            return
            ;;
    esac
    if [[ $cur == -* ]]; then
        COMPREPLY=($(compgen -W "--sheets --screenshot --stage --size --theme --unit --shelf --page --wall --practice
            --ask --type --wall-side --lang --help --help-all --version" -- "$cur"))
        return
    fi
    _filedir yesq
} &&
    complete -F _yes_square yes-square
